<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule;

/** When in the build a joint is welded; one phase after the other, for the whole job. */
enum Phase: string
{
    case Open = 'open';
    case Alone = 'alone';
    case Bench = 'bench';
    case Together = 'together';

    public function label(): string
    {
        return match ($this) {
            self::Open => 'while its piece is open',
            self::Alone => 'before the runs stand together',
            self::Bench => 'on the bench',
            self::Together => 'with the runs in place',
        };
    }
}
