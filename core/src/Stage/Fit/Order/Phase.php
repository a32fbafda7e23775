<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

/** When in the build something is done; one phase after the other, for the whole job. */
enum Phase: string
{
    case Merge = 'merge';
    case Outlet = 'outlet';
    case Stub = 'stub';
    case Open = 'open';
    case Trial = 'trial';
    case Drilled = 'drilled';
    case Alone = 'alone';
    case Bench = 'bench';
    case Together = 'together';

    /** Whether hands and rulers go everywhere once it is done, before the next is begun. */
    public function isFollowedByHands(): bool
    {
        return in_array($this, [self::Merge, self::Outlet, self::Stub, self::Open, self::Drilled], true);
    }

    /** Whether what is welded lies on the bench by itself: a collector, a flange with its stubs, an open piece. */
    public function isOnLoose(): bool
    {
        return in_array($this, [self::Merge, self::Outlet, self::Stub, self::Open], true);
    }

    public function label(): string
    {
        return match ($this) {
            self::Merge => 'the collector, before any run goes on',
            self::Outlet => 'to the collector, before any run goes on',
            self::Stub => 'the flange with its stubs, before any run stands on it',
            self::Open => 'while its piece is open',
            self::Trial => 'tacked and tried',
            self::Drilled => 'tried, and its piece still open',
            self::Alone => 'before the runs stand together',
            self::Bench => 'on the bench',
            self::Together => 'with the runs in place',
        };
    }
}
