<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

use UpsweptBead\Core\Stage\Merge\BuiltCollector;

/** The sizes of a collector that its tubes are cut by. Lengths in mm, its lean in degrees. */
final readonly class CollectorOutline
{
    /** Nobody saws or measures nearer (mm, degrees). */
    private const NEAR = 0.5;

    private function __construct(
        private int $inlets,
        private float $circleMm,
        private float $lengthMm,
        private float $outletMm,
        private float $leanDeg,
    ) {}

    public static function of(BuiltCollector $collector): self
    {
        $sizes = $collector->sizes;

        return new self(
            $collector->build->inlets,
            $sizes->circle->value,
            $sizes->length->value,
            $sizes->outlet->odMm,
            $sizes->lean->value,
        );
    }

    public function isLike(self $other): bool
    {
        return $this->inlets === $other->inlets && max(
            abs($this->circleMm - $other->circleMm),
            abs($this->lengthMm - $other->lengthMm),
            abs($this->outletMm - $other->outletMm),
            abs($this->leanDeg - $other->leanDeg),
        ) <= self::NEAR;
    }
}
