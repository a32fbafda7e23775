<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

use UpsweptBead\Core\Reason\Figure;
use UpsweptBead\Core\Run\Clocking;
use UpsweptBead\Core\Run\PieceSpan;

/** One piece to cut: its mark, the stock it comes from, its ends, allowances and marks. Lengths in mm, mass in kg. */
final readonly class Piece
{
    /**
     * @param  list<CutMark>  $marks
     * @param  Clocking|null  $clocking  turn of this bend's throat line from the one before it, or from the start's index
     */
    public function __construct(
        public string $mark,
        public PieceSpan $span,
        public string $stockId,
        public float $angleDeg,
        public float $clrMm,
        public EndPrep $startPrep,
        public EndPrep $endPrep,
        public Figure $trim,
        public Figure $shrink,
        public float $massKg,
        public array $marks,
        public ?Clocking $clocking,
    ) {}

    public function isBend(): bool
    {
        return $this->span->bendIndex !== null;
    }

    /** Length along the centreline as it is cut: finished length, trim and shrink allowances. */
    public function cutLengthMm(): float
    {
        return $this->span->lengthMm() + $this->trim->value + $this->shrink->value;
    }
}
