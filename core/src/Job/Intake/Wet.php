<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Intake;

/** What the outside of it meets. */
enum Wet: string
{
    case Dry = 'dry';
    case Salt = 'salt';

    public function label(): string
    {
        return match ($this) {
            self::Dry => 'Dry roads, or a track',
            self::Salt => 'Salt, sea air or always wet',
        };
    }
}
