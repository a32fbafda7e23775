<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route;

/**
 * What a route must respect: least straights in mm, the range and the preferred grid of bend angles in degrees.
 *
 * `windowDeg` is how close to the grid counts as on it.
 */
final readonly class RouteRules
{
    public function __construct(
        public float $firstStraightMm = 25.4,
        public float $innerStraightMm = 0.0,
        public float $lastStraightMm = 25.4,
        public float $minAngleDeg = 8.0,
        public float $angleStepDeg = 15.0,
        public float $windowDeg = 0.05,
    ) {}

    public function isOnGrid(float $angleDeg): bool
    {
        return abs($angleDeg - $this->angleStepDeg * round($angleDeg / $this->angleStepDeg)) <= $this->windowDeg;
    }

    /** @return list<float> the preferred angles from the least to a bend's greatest */
    public function gridUpTo(float $maxDeg): array
    {
        $grid = [];
        for ($angle = $this->angleStepDeg; $angle <= $maxDeg + 1e-9; $angle += $this->angleStepDeg) {
            if ($angle >= $this->minAngleDeg) {
                $grid[] = $angle;
            }
        }

        return $grid;
    }
}
