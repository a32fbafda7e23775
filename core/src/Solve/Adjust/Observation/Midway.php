<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust\Observation;

use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Sighting;
use UpsweptBead\Core\Solve\Adjust\Slope;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/** A place midway between two others: one coordinate of it. */
final readonly class Midway implements Sighting
{
    /** @param  int<0, 2>  $axis  0 forward, 1 left, 2 up */
    public function __construct(
        public string $of,
        public string $one,
        public string $other,
        public int $axis,
    ) {}

    public function at(Estimate $estimate): Slope
    {
        $by = Xyz::AXES[$this->axis];
        $middle = ($estimate->places[$this->one][$this->axis] + $estimate->places[$this->other][$this->axis]) / 2;

        return new Slope($middle - $estimate->places[$this->of][$this->axis], [
            $this->of => $by,
            $this->one => Xyz::times($by, -0.5),
            $this->other => Xyz::times($by, -0.5),
        ]);
    }
}
