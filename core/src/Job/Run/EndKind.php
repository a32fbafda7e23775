<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

/** What a run meets at one of its ends. */
enum EndKind: string
{
    case VBand = 'v-band';
    case Flange = 'flange';
    case Slip = 'slip';
    case Flare = 'flare';
    case Socket = 'socket';
    case Saddle = 'saddle';
    case Open = 'open';

    /** Whether the tube goes into the part, as into a muffler or the adapter of a turbine. */
    public function slipsIn(): bool
    {
        return $this === self::Slip || $this === self::Socket;
    }

    public function label(): string
    {
        return match ($this) {
            self::VBand => 'V-band ring',
            self::Flange => 'Flange',
            self::Slip => 'Slip, clamped',
            self::Flare => 'Ball flare, clamped',
            self::Socket => 'Slip, welded',
            self::Saddle => 'On the side of another run',
            self::Open => 'Open end',
        };
    }
}
