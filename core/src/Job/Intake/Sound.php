<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Intake;

/** What it is meant to sound like. */
enum Sound: string
{
    case Quiet = 'quiet';
    case Plain = 'plain';
    case Loud = 'loud';

    public function label(): string
    {
        return match ($this) {
            self::Quiet => 'Quiet',
            self::Plain => 'As it comes',
            self::Loud => 'Loud',
        };
    }
}
