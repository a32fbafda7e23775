<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

use UpsweptBead\Core\Base\Geometry\Vector;

/** Along which axis of the datum the place of an outlet is limited. */
enum OutletAxis: string
{
    case Rearward = 'rearward';
    case Right = 'right';
    case Up = 'up';

    /** The coordinate of a place along it, in mm. */
    public function of(Vector $place): float
    {
        return match ($this) {
            self::Rearward => $place->x,
            self::Right => $place->y,
            self::Up => $place->z,
        };
    }
}
