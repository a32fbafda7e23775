<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange;

use UpsweptBead\Core\Timing\BenchWork;

/** A question of the open schedule format, read. */
final readonly class ScheduleProblem
{
    public function __construct(public string $name, public BenchWork $work) {}
}
