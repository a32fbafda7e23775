<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/** What can be read at a car with tape, rod, level and angle finder. */
enum ReadingKind: string
{
    case Offset = 'offset';
    case Tape = 'tape';
    case Rod = 'rod';
    case Face = 'face';
    case BoltCircle = 'bolt_circle';
    case Dip = 'dip';
    case Bearing = 'bearing';
    case Lean = 'lean';
    case Level = 'level';
    case SquareTo = 'square_to';
    case Angle = 'angle';
    case Midpoint = 'midpoint';
    case OnLine = 'on_line';
}
