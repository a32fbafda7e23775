<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

/** How runs enter a collector: into its expanded inlets, and there welded all round or left to slip. */
enum CollectorEntry: string
{
    case Welded = 'welded';
    case Slip = 'slip';

    public function label(): string
    {
        return match ($this) {
            self::Welded => 'slip in, welded all round',
            self::Slip => 'slip joint, not welded',
        };
    }
}
