<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Solve\Merge\Seat;

/**
 * Where the end of a run stands on the side of another run, as a wastegate's take-off or return does.
 *
 * `station` along the other's centreline from its start; `fromTopDeg` round it from straight up, clockwise looking with
 * its flow; `angleDeg` between both flows, so a small one goes with the flow; `offset` of its centreline to the side;
 * `stub` how far a straight run reaches from the other's centreline, where it is only that: its far end goes with it.
 */
final readonly class SaddleSpec
{
    /** @param  string  $on  letter of the run it stands on */
    public function __construct(
        public string $on,
        public Length $station,
        public float $fromTopDeg,
        public float $angleDeg,
        public Length $offset,
        public Seat $seat,
        public ?Length $stub = null,
    ) {}
}
