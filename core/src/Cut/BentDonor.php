<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

use UpsweptBead\Core\Stock\BendStock;

/** One bought bend and the pieces cut from it; `leftDeg` is the bend that remains after the saw. */
final readonly class BentDonor
{
    /** @param  list<Piece>  $pieces */
    public function __construct(
        public BendStock $stock,
        public array $pieces,
        public float $leftDeg,
        public int $freeLegs,
    ) {}
}
