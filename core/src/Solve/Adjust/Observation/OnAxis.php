<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust\Observation;

use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Sighting;
use UpsweptBead\Core\Solve\Adjust\Slope;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/**
 * A place that lies on an axis: how far it is off along one of the two lines across it.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class OnAxis implements Sighting
{
    /** @param  string|Triple  $point  a name, or where it was read from the datum */
    public function __construct(
        public string $end,
        public string|array $point,
        public bool $isUpright,
    ) {}

    public function at(Estimate $estimate): Slope
    {
        $axis = $estimate->axes[$this->end];
        $point = is_string($this->point) ? $estimate->places[$this->point] : $this->point;
        $q = Xyz::minus($point, $estimate->places[$this->end]);
        [$h, $v] = Xyz::across($axis);
        $line = $this->isUpright ? $v : $h;
        $places = [$this->end => Xyz::times($line, -1.0)];
        if (is_string($this->point) && $this->point !== $this->end) {
            $places[$this->point] = $line;
        }

        return new Slope(
            -Xyz::dot($q, $line),
            $places,
            [$this->end => $this->isUpright ? Xyz::byAxisV($q, $axis) : Xyz::byAxisH($q, $axis)],
        );
    }
}
