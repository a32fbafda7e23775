<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Search;

enum HingeKind
{
    case Straight;
    case Angle;
    case Length;
    case Solid;
    case Pair;
    case Lane;
}
