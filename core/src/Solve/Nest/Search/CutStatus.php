<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

enum CutStatus: string
{
    case Solved = 'solved';
    case NotFound = 'not-found';
}
