<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach;

/** The filler rod ahead of the torch, with the fingers that hold it: a round-ended bar. Millimetres and radians. */
final readonly class FillerRod
{
    /**
     * @param  float  $startMm  from the weld to where it begins to count
     * @param  non-empty-list<float>  $riseRad  above the seam's tangent plane
     * @param  non-empty-list<float>  $sideRad  from the way of travel towards side b
     */
    public function __construct(
        public float $radiusMm,
        public float $startMm,
        public float $lengthMm,
        public float $gapMm,
        public array $riseRad,
        public array $sideRad,
    ) {}
}
