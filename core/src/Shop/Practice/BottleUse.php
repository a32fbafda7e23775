<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

enum BottleUse: string
{
    case Torch = 'torch';
    case Purge = 'purge';
}
