<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

use UpsweptBead\Core\Base\Geometry\Vector;

/** A plane of the datum that bends can be asked to lie in. */
enum BendPlane: string
{
    case Level = 'level';
    case Lengthwise = 'lengthwise';
    case Crosswise = 'crosswise';

    /** The direction square to it: up, across the vehicle, or along it. */
    public function normal(): Vector
    {
        return match ($this) {
            self::Level => new Vector(0, 0, 1),
            self::Lengthwise => new Vector(0, 1, 0),
            self::Crosswise => new Vector(1, 0, 0),
        };
    }
}
