<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust\Observation;

use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Observation;
use UpsweptBead\Core\Solve\Adjust\Slope;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/** One coordinate of a place, from the datum or from another place. */
final readonly class Offset extends Observation
{
    /** @param  int  $axis  0 forward, 1 left, 2 up */
    public function __construct(
        string $id,
        string $reading,
        float $sigma,
        public string $of,
        public string $from,
        public int $axis,
        public float $valueMm,
    ) {
        parent::__construct($id, $reading, $sigma);
    }

    public function at(Estimate $estimate): Slope
    {
        $by = Xyz::ZERO;
        $by[$this->axis] = 1.0;
        $computed = $estimate->places[$this->of][$this->axis] - $estimate->places[$this->from][$this->axis];

        return new Slope($this->valueMm - $computed, $this->of === $this->from ? [] : [
            $this->of => $by,
            $this->from => Xyz::times($by, -1.0),
        ]);
    }
}
