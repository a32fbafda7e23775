<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Step;

/** How a step is timed at the bench. */
enum Clock: string
{
    /** From its beginning on. */
    case Up = 'up';
    /** Until its time is over. */
    case Down = 'down';
    /** From the weld on that has to cool. */
    case SinceWeld = 'since-weld';
}
