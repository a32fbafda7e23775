<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Intake;

/** How much room there is to go through. */
enum Room: string
{
    case Plenty = 'plenty';
    case Some = 'some';
    case Little = 'little';

    public function label(): string
    {
        return match ($this) {
            self::Plenty => 'Plenty',
            self::Some => 'Some, round a few things',
            self::Little => 'Little: it has to wind through',
        };
    }
}
