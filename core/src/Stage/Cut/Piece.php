<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Solve\Merge\PieCut;
use UpsweptBead\Core\Solve\Run\Clocking;
use UpsweptBead\Core\Solve\Run\PieceSpan;

/** One piece to cut: its mark, its ends, allowances, and where it is cut from. Lengths in mm, mass in kg. */
final readonly class Piece
{
    /**
     * @param  string  $run  letter
     * @param  string  $stockId  what it is cut from
     * @param  Clocking|null  $clocking  turn of this bend's throat line from the one before it, or from the start's
     *   index
     * @param  string  $wanted  the stock it was chosen to come from, with a number; '' if that is open
     * @param  StockPlace|null  $place  null if there is nothing it can be cut from
     * @param  list<CutMark>  $marks
     * @param  PieCut|null  $pie  its wedges, where its bend is made here; then it is cut from a straight stick
     */
    public function __construct(
        public string $mark,
        public string $run,
        public PieceSpan $span,
        public string $stockId,
        public float $angleDeg,
        public float $clrMm,
        public EndPrep $startPrep,
        public EndPrep $endPrep,
        public Allowances $allowances,
        public float $massKg,
        public ?Clocking $clocking,
        public string $wanted = '',
        public ?StockPlace $place = null,
        public array $marks = [],
        public ?PieCut $pie = null,
    ) {}

    public function wantedFrom(string $wanted): self
    {
        return new self(
            $this->mark,
            $this->run,
            $this->span,
            $this->stockId,
            $this->angleDeg,
            $this->clrMm,
            $this->startPrep,
            $this->endPrep,
            $this->allowances,
            $this->massKg,
            $this->clocking,
            $wanted,
            pie: $this->pie,
        );
    }

    public function cutFrom(StockPlace $place, float $odMm): self
    {
        return new self(
            $this->mark,
            $this->run,
            $this->span,
            $place->stockId,
            $this->angleDeg,
            $this->clrMm,
            $this->startPrep,
            $this->endPrep,
            $this->allowances,
            $this->massKg,
            $this->clocking,
            $this->wanted,
            $place,
            Marks::of($this, $place, $odMm),
            $this->pie,
        );
    }

    /** Whether its downstream end lies in the bend, with nothing straight behind it. */
    public function endsInBend(): bool
    {
        return $this->isBend() && $this->span->legAfterMm <= 0.0;
    }

    /** Whether its bend is the first of its run, so that there is no throat line to turn it from. */
    public function isFirstBend(): bool
    {
        return $this->span->bendIndex === 0;
    }

    /** What the turn of its bend is counted from, in words. */
    public function turnedFrom(): string
    {
        return $this->isFirstBend() ? 'the index mark of the start' : 'the inside of the bend before it';
    }

    /** Whether it is cut from a bend. */
    public function isBend(): bool
    {
        return $this->span->bendIndex !== null && $this->pie === null;
    }

    /** Length of stock that the finished piece comes out of: along its centreline, or the stick its wedges lie in. */
    public function onStockMm(): float
    {
        return $this->pie === null
            ? $this->span->lengthMm()
            : $this->span->legBeforeMm + $this->pie->stickMm() + $this->span->legAfterMm;
    }

    /** Length of stock as it is cut: what the finished piece comes out of, and allowances. */
    public function cutLengthMm(): float
    {
        return $this->onStockMm() + $this->allowances->totalMm();
    }
}
