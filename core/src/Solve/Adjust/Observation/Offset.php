<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust\Observation;

use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Sighting;
use UpsweptBead\Core\Solve\Adjust\Slope;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/** One coordinate of a place, from the datum or from another place. */
final readonly class Offset implements Sighting
{
    /** @param  int<0, 2>  $axis  0 forward, 1 left, 2 up */
    public function __construct(
        public string $of,
        public string $from,
        public int $axis,
        public float $valueMm,
    ) {}

    public function at(Estimate $estimate): Slope
    {
        $by = Xyz::AXES[$this->axis];
        $computed = $estimate->places[$this->of][$this->axis] - $estimate->places[$this->from][$this->axis];

        return new Slope($this->valueMm - $computed, $this->of === $this->from ? [] : [
            $this->of => $by,
            $this->from => Xyz::times($by, -1.0),
        ]);
    }
}
