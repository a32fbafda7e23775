<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

/**
 * What every route must respect, alone or in a set: least straights in mm, the least angle worth a bend and the even
 * angles.
 */
final readonly class RoutingLimits
{
    public function __construct(
        public float $firstStraightMm = 25.4,
        public float $innerStraightMm = 0.0,
        public float $lastStraightMm = 25.4,
        public float $minAngleDeg = 8.0,
        public AngleGrid $grid = new AngleGrid,
    ) {}
}
