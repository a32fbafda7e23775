<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule;

/** When in the build a joint is welded; one phase after the other, for the whole job. */
enum Phase: string
{
    case Merge = 'merge';
    case Outlet = 'outlet';
    case Open = 'open';
    case Alone = 'alone';
    case Bench = 'bench';
    case Together = 'together';

    /** Whether it is done before the runs are tacked: hands and rulers go everywhere in between. */
    public function isBeforeTacking(): bool
    {
        return in_array($this, [self::Merge, self::Outlet, self::Open], true);
    }

    public function label(): string
    {
        return match ($this) {
            self::Merge => 'the collector, before any run goes on',
            self::Outlet => 'to the collector, before any run goes on',
            self::Open => 'while its piece is open',
            self::Alone => 'before the runs stand together',
            self::Bench => 'on the bench',
            self::Together => 'with the runs in place',
        };
    }
}
