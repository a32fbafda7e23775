<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Intake;

/** How hard the engine works, and for how long. */
enum Load: string
{
    case Easy = 'easy';
    case Pulls = 'pulls';
    case Long = 'long';

    public function label(): string
    {
        return match ($this) {
            self::Easy => 'Mostly easy driving',
            self::Pulls => 'Hard pulls now and then',
            self::Long => 'Full load for minutes on end',
        };
    }
}
