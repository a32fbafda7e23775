<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

use UpsweptBead\Core\Base\Units\Length;

/** The studs of a flange on a circle, and the nuts that have to be reached on them. */
final readonly class FlangeBolts
{
    /**
     * @param  Length  $circle  diameter of the circle the studs stand on; the spacing where there are two
     * @param  float  $turnDeg  of the first from straight up, clockwise looking with the flow
     * @param  Length  $flats  across the flats of the nut
     */
    public function __construct(
        public int $count,
        public Length $circle,
        public float $turnDeg,
        public Length $flats,
    ) {}
}
