<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route;

/** What the router found: buildable answers, best first, or what blocks every one of them. */
final readonly class RouteAnswers
{
    /**
     * @param  list<RouteAnswer>  $answers
     * @param  list<Blocked>  $blocked  smallest first; empty when there are answers
     */
    public function __construct(public array $answers, public array $blocked) {}
}
