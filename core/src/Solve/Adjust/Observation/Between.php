<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust\Observation;

use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Sighting;
use UpsweptBead\Core\Solve\Adjust\Slope;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/** The angle between two axes, degrees. */
final readonly class Between implements Sighting
{
    public function __construct(
        public string $one,
        public string $other,
        public float $valueDeg,
    ) {}

    public function at(Estimate $estimate): Slope
    {
        [$one, $other] = [$estimate->axes[$this->one], $estimate->axes[$this->other]];
        $cosine = max(-1.0, min(1.0, Xyz::dot($one, $other)));
        $steep = rad2deg(-1 / sqrt(max(1e-12, 1 - $cosine ** 2)));

        return new Slope(Xyz::wrapped($this->valueDeg - Xyz::angleDeg($one, $other)), [], [
            $this->one => Xyz::times($other, $steep),
            $this->other => Xyz::times($one, $steep),
        ]);
    }
}
