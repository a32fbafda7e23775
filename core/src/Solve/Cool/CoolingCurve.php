<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool;

/** How a seam cools: what was asked of it, in minutes from the last moment of the arc and °C. */
final readonly class CoolingCurve
{
    /**
     * @param  float  $peakC  highest mean of the tube near the seam
     * @param  list<?float>  $belowMin  by limit; null where the seam settles above it
     * @param  list<float>  $seamC  that mean at the times asked for
     * @param  list<array{list<float>, float}>  $rises  by distance: over the start at the times asked for, and at most,
     *   K
     * @param  list<?float>  $spotMin  by limit of the hottest spot
     */
    public function __construct(
        public float $peakC,
        public array $belowMin,
        public array $seamC,
        public array $rises,
        public array $spotMin = [],
    ) {}
}
