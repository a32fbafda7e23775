<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;

/**
 * An inlet of a bought collector in the collector's own frame: towards its first inlet, square to that and clockwise
 * looking with the flow, and along its axis.
 */
final readonly class InletPose
{
    /** @param  array{Length, Length, Length}  $at */
    public function __construct(public array $at, public Vector $direction) {}
}
