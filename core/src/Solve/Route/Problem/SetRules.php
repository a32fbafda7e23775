<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Problem;

use UpsweptBead\Core\Shop\Practice\RoutingLimits;

/** What every tube of a set must keep; lengths in mm, angles in degrees. */
final readonly class SetRules
{
    /**
     * @param  int  $maxBends  of one tube
     * @param  float  $gapMm  least gap, surface to surface, between tubes
     * @param  float  $clearanceMm  least gap to keep-outs
     */
    public function __construct(
        public RoutingLimits $limits = new RoutingLimits(lastStraightMm: 50.8),
        public int $maxBends = 4,
        public float $gapMm = 6.0,
        public float $clearanceMm = 12.0,
        public ObjectiveWeights $weights = new ObjectiveWeights,
    ) {}
}
