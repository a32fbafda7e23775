<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

enum ShortfallKind
{
    case Straight;
    case Angle;
    case Length;
    case Solid;
    case Pair;
    case Lane;
}
