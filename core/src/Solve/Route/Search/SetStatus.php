<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

enum SetStatus: string
{
    case Solved = 'solved';
    /** Proved to have no answer. */
    case Infeasible = 'infeasible';
    /** Nothing was found, which proves nothing. */
    case NotFound = 'not-found';
}
