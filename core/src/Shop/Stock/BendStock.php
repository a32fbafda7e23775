<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Stock;

use UpsweptBead\Core\Base\Reason\Source;

/**
 * A bend as it is bought: a mandrel bend with two straight legs, a weld elbow without, or a donut: a closed ring.
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
        public bool $isMade = false,
    ) {}

    /** One that is made of wedges from a stick of the tube, with whatever straight the stick has on both sides. */
    public static function made(TubeSize $tube, float $clrMm, float $angleDeg, float $legMm): self
    {
        return new self($tube->id, $tube->id, $clrMm, $angleDeg, $legMm, $legMm, Source::geometry(), true);
    }

    /** Whether it is a donut, which has no ends of its own until it is sawn open. */
    public function isRing(): bool
    {
        return $this->angleDeg >= 360.0;
    }

    public function longestLegMm(): float
    {
        return max($this->clampLegMm, $this->pullLegMm);
    }
}
