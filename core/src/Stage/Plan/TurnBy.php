<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

/** What a turn is read off by. */
enum TurnBy: string
{
    case Degrees = 'degrees';
    case Marks = 'marks';
    case Clock = 'clock';
    case Fall = 'fall';
}
