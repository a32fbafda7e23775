<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/** One number that was read at the car, with how sure it is. */
final readonly class Observation
{
    /**
     * @param  string  $id  of the reading, with what tells its numbers apart: "stub.1h"
     * @param  string  $reading  id of the whole reading
     * @param  float  $sigma  standard deviation, mm or degrees
     */
    public function __construct(
        public string $id,
        public string $reading,
        public float $sigma,
        public Sighting $of,
    ) {}
}
