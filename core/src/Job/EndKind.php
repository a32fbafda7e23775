<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

/** What a run meets at one of its ends. */
enum EndKind: string
{
    case VBand = 'v-band';
    case Flange = 'flange';
    case Open = 'open';

    public function label(): string
    {
        return match ($this) {
            self::VBand => 'V-band ring',
            self::Flange => 'Flange',
            self::Open => 'Open end',
        };
    }
}
