<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Shop\Stock\BendStock;

/**
 * One bought bend and the pieces cut from it, in order along it; `leftDeg` is the most of its bend that remains in one.
 */
final readonly class BentDonor
{
    /** @param  list<Piece>  $pieces */
    public function __construct(public BendStock $stock, public array $pieces, public float $leftDeg) {}

    /** Along its centreline. */
    public function lengthMm(): float
    {
        $arcMm = deg2rad($this->stock->angleDeg) * $this->stock->clrMm;

        return $this->stock->clampLegMm + $arcMm + $this->stock->pullLegMm;
    }
}
