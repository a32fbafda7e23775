<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop;

enum BottleUse: string
{
    case Torch = 'torch';
    case Purge = 'purge';
}
