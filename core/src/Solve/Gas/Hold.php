<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

/** What is fed while a joint is welded (L/min), and the hole that each vent has (mm): no vent may draw air in then. */
final readonly class Hold
{
    public function __construct(public float $flowLMin, public float $holeMm) {}
}
