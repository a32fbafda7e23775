<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge;

/** How a branch meets its main tube: on the outside, or through the wall as far as the bore. */
enum Seat: string
{
    case SetOn = 'set-on';
    case SetIn = 'set-in';
}
