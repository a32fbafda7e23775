<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust\Observation;

use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Sighting;
use UpsweptBead\Core\Solve\Adjust\Slope;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/** A place on the straight line through two others: how far it is off along one of the two lines across. */
final readonly class OnLine implements Sighting
{
    public function __construct(
        public string $of,
        public string $from,
        public string $to,
        public bool $isUpright,
    ) {}

    public function at(Estimate $estimate): Slope
    {
        $way = Xyz::minus($estimate->places[$this->to], $estimate->places[$this->from]);
        $long = max(1e-9, Xyz::length($way));
        $axis = Xyz::unit($way);
        $q = Xyz::minus($estimate->places[$this->of], $estimate->places[$this->from]);
        [$h, $v] = Xyz::across($axis);
        $line = $this->isUpright ? $v : $h;
        $byAxis = $this->isUpright ? Xyz::byAxisV($q, $axis) : Xyz::byAxisH($q, $axis);
        // The axis turns with either end of the line, by its length.
        $byTo = Xyz::times(Xyz::plus($byAxis, $axis, -Xyz::dot($byAxis, $axis)), 1 / $long);

        return new Slope(-Xyz::dot($q, $line), [
            $this->of => $line,
            $this->from => Xyz::times(Xyz::plus($line, $byTo), -1.0),
            $this->to => $byTo,
        ]);
    }
}
