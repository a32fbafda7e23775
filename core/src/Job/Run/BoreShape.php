<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

/** What a port looks like, looking into it. */
enum BoreShape: string
{
    case Round = 'round';
    /** Two half circles and the straights between them. */
    case Oval = 'oval';
    /** A half circle on a square foot. */
    case D = 'd';
    case Rectangle = 'rectangle';

    public function label(): string
    {
        return match ($this) {
            self::Round => 'round',
            self::Oval => 'oval',
            self::D => 'D',
            self::Rectangle => 'rectangle',
        };
    }
}
