<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust\Observation;

use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Sighting;
use UpsweptBead\Core\Solve\Adjust\Slope;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/** A straight distance between two places. */
final readonly class Tape implements Sighting
{
    public function __construct(
        public string $one,
        public string $other,
        public float $valueMm,
    ) {}

    public function at(Estimate $estimate): Slope
    {
        $way = Xyz::minus($estimate->places[$this->one], $estimate->places[$this->other]);
        $long = Xyz::length($way);
        $unit = Xyz::unit($way);

        return new Slope($this->valueMm - $long, [$this->one => $unit, $this->other => Xyz::times($unit, -1.0)]);
    }
}
