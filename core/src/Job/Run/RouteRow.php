<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

use UpsweptBead\Core\Base\Units\Length;

/**
 * One bend of a chosen route as it stands in the job: lengths as the person wrote them, angles in degrees; `locked`
 * names the values that closing the far end must leave alone; with `pieWelds` it is made of wedges with so many welds.
 */
final readonly class RouteRow
{
    public const LOCKABLE = ['straight', 'rotation', 'angle'];

    /** A centreline radius (mm) below this is a slip of the pen: no tube is that small. */
    public const LEAST_CLR_MM = 1.0;

    public const MOST_PIE_WELDS = 24;

    /** @param  list<string>  $locked */
    public function __construct(
        public Length $straight,
        public float $rotationDeg,
        public float $angleDeg,
        public Length $clr,
        public array $locked = [],
        public int $pieWelds = 0,
    ) {}
}
