<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Job\Run\RouteChoice;

/** Routes that came in from elsewhere, and the lines that gave none. */
final readonly class RoutesRead
{
    /**
     * @param  array<string, RouteChoice>  $routes  by letter
     * @param  list<array{line: int, text: string, why: string}>  $rejected
     */
    public function __construct(public array $routes, public array $rejected) {}
}
