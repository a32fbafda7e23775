<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut\Search;

enum CutStatus: string
{
    case Solved = 'solved';
    case NotFound = 'not-found';
}
