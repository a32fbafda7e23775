<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust\Observation;

use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Observation;
use UpsweptBead\Core\Solve\Adjust\Slope;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/** A place midway between two others: one coordinate of it. */
final readonly class Midway extends Observation
{
    /** @param  int  $axis  0 forward, 1 left, 2 up */
    public function __construct(
        string $id,
        string $reading,
        float $sigma,
        public string $of,
        public string $one,
        public string $other,
        public int $axis,
    ) {
        parent::__construct($id, $reading, $sigma);
    }

    public function at(Estimate $estimate): Slope
    {
        $by = Xyz::ZERO;
        $by[$this->axis] = 1.0;
        $middle = ($estimate->places[$this->one][$this->axis] + $estimate->places[$this->other][$this->axis]) / 2;

        return new Slope($middle - $estimate->places[$this->of][$this->axis], [
            $this->of => $by,
            $this->one => Xyz::times($by, -0.5),
            $this->other => Xyz::times($by, -0.5),
        ]);
    }
}
