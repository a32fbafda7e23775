<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Intake;

/** Into how many volutes of a turbine the gas goes. */
enum Scrolls: string
{
    case One = 'one';
    case Two = 'two';

    public function label(): string
    {
        return match ($this) {
            self::One => 'Single scroll',
            self::Two => 'Twin scroll',
        };
    }
}
