<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

use UpsweptBead\Core\Shop\Stock\BendStock;

/**
 * The stretch of a run that is made from one piece of stock: a straight, or one bend with the legs that stay on it.
 *
 * Stations and legs in mm along the centreline.
 */
final readonly class PieceSpan
{
    public function __construct(
        public float $fromMm,
        public float $toMm,
        public ?int $bendIndex,
        public ?BendStock $donor,
        public float $legBeforeMm = 0.0,
        public float $legAfterMm = 0.0,
    ) {}

    public function lengthMm(): float
    {
        return $this->toMm - $this->fromMm;
    }
}
