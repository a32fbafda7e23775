<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

/**
 * The bend angles a shop likes to work with: whole multiples of a step, in degrees. An angle within the window of one
 * counts as even; any other is odd and has to be cut and marked by itself.
 */
final readonly class AngleGrid
{
    public function __construct(public float $stepDeg = 15.0, public float $windowDeg = 0.5) {}

    public function isEven(float $angleDeg): bool
    {
        return abs($angleDeg - $this->stepDeg * round($angleDeg / $this->stepDeg)) <= $this->windowDeg;
    }

    /** @return list<float> the even angles from the least worth a bend to the greatest that can be had */
    public function between(float $leastDeg, float $mostDeg): array
    {
        $angles = [];
        for ($angle = $this->stepDeg; $angle <= $mostDeg + 1e-9; $angle += $this->stepDeg) {
            if ($angle >= $leastDeg) {
                $angles[] = $angle;
            }
        }

        return $angles;
    }
}
