<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust\Observation;

/** Which angle of an axis is read. */
enum AngleOf
{
    /** Below level. */
    case Dip;

    /** How far it leans forward of plumb, or to the left. */
    case Forward;
    case Left;

    /** Seen from above, anticlockwise. */
    case Bearing;

    /** From plumb up. */
    case LeanFromSide;
    case LeanFromFront;
}
