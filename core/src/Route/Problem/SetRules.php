<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Problem;

/** What every tube of a set must keep; lengths in mm, angles in degrees. */
final readonly class SetRules
{
    /**
     * @param  float  $minAngleDeg  of a bend
     * @param  int  $maxBends  of one tube
     * @param  float  $firstStraightMm  least straight at the port
     * @param  float  $innerStraightMm  least straight between bends
     * @param  float  $lastStraightMm  least straight at the inlet
     * @param  float  $gapMm  least gap, surface to surface, between tubes
     * @param  float  $clearanceMm  least gap to keep-outs
     * @param  float  $angleStepDeg  bends are preferred at whole multiples of it
     * @param  float  $angleWindowDeg  within which an angle counts as such a multiple
     */
    public function __construct(
        public float $minAngleDeg = 8.0,
        public int $maxBends = 4,
        public float $firstStraightMm = 25.4,
        public float $innerStraightMm = 0.0,
        public float $lastStraightMm = 50.8,
        public float $gapMm = 6.0,
        public float $clearanceMm = 12.0,
        public float $angleStepDeg = 15.0,
        public float $angleWindowDeg = 0.5,
        public Taste $taste = new Taste,
    ) {}
}
