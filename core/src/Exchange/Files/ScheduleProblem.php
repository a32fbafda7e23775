<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Solve\Timing\BenchWork;

/** A question of the open schedule format, read. */
final readonly class ScheduleProblem
{
    public function __construct(public string $name, public BenchWork $work) {}
}
