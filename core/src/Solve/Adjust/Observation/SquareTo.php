<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust\Observation;

use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Sighting;
use UpsweptBead\Core\Solve\Adjust\Slope;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/** An axis that stands square to the face of another end: how far it leans along one of the two lines across; degrees. */
final readonly class SquareTo implements Sighting
{
    public function __construct(
        public string $end,
        public string $to,
        public bool $isUpright,
    ) {}

    public function at(Estimate $estimate): Slope
    {
        [$axis, $other] = [$estimate->axes[$this->end], $estimate->axes[$this->to]];
        [$h, $v] = Xyz::across($other);
        $line = $this->isUpright ? $v : $h;
        $sine = max(-1.0, min(1.0, Xyz::dot($axis, $line)));
        $steep = rad2deg(1 / sqrt(max(1e-12, 1 - $sine ** 2)));
        $by = $this->isUpright ? Xyz::byAxisV($axis, $other) : Xyz::byAxisH($axis, $other);

        return new Slope(-rad2deg(asin($sine)), [], [
            $this->end => Xyz::times($line, $steep),
            $this->to => Xyz::times($by, $steep),
        ]);
    }
}
