<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust\Observation;

use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Sighting;
use UpsweptBead\Core\Solve\Adjust\Slope;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/**
 * A place that lies in the face of an end.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class InFace implements Sighting
{
    /** @param  string|Triple  $point  a name, or where it was read from the datum */
    public function __construct(
        public string $end,
        public string|array $point,
    ) {}

    public function at(Estimate $estimate): Slope
    {
        $axis = $estimate->axes[$this->end];
        $point = is_string($this->point) ? $estimate->places[$this->point] : $this->point;
        $q = Xyz::minus($point, $estimate->places[$this->end]);
        $places = [$this->end => Xyz::times($axis, -1.0)];
        if (is_string($this->point) && $this->point !== $this->end) {
            $places[$this->point] = $axis;
        }

        return new Slope(-Xyz::dot($q, $axis), $places, [$this->end => $q]);
    }
}
