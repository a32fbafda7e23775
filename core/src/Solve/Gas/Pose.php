<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

use UpsweptBead\Core\Base\Geometry\Vector;

/** How an assembly is held: which way up is in its own axes, by which turn and tilt of a vise. */
final readonly class Pose
{
    public function __construct(public Vector $up, public float $turnDeg = 0.0, public float $tiltDeg = 0.0) {}
}
