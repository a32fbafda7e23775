<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

use UpsweptBead\Core\Run\Clocking;
use UpsweptBead\Core\Run\PieceSpan;

/** One piece to cut: its mark, the stock it comes from, its ends, allowances and marks. Lengths in mm, mass in kg. */
final readonly class Piece
{
    /**
     * @param  string  $run  letter
     * @param  list<CutMark>  $marks
     * @param  Clocking|null  $clocking  turn of this bend's throat line from the one before it, or from the start's index
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
        public array $marks,
        public ?Clocking $clocking,
    ) {}

    /** Whether its downstream end lies in the bend, with nothing straight behind it. */
    public function endsInBend(): bool
    {
        return $this->isBend() && $this->span->legAfterMm <= 0.0;
    }

    public function isBend(): bool
    {
        return $this->span->bendIndex !== null;
    }

    /** Length along the centreline as it is cut: finished length and allowances. */
    public function cutLengthMm(): float
    {
        return $this->span->lengthMm() + $this->allowances->totalMm();
    }
}
