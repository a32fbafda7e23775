<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stock;

use UpsweptBead\Core\Reason\Source;

/**
 * A bend as it is bought: a mandrel bend with two straight legs, or a weld elbow without.
 *
 * The clamp leg is the rounder of the two; either end may face upstream.
 */
final readonly class BendStock
{
    public function __construct(
        public string $id,
        public string $tubeId,
        public float $clrMm,
        public float $angleDeg,
        public float $clampLegMm,
        public float $pullLegMm,
        public Source $source,
    ) {}

    public function longestLegMm(): float
    {
        return max($this->clampLegMm, $this->pullLegMm);
    }
}
