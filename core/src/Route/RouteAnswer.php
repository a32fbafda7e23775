<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route;

use UpsweptBead\Core\Run\TubeRun;

/** One buildable way: the run, and the figures answers are ranked by. */
final readonly class RouteAnswer
{
    public function __construct(
        public TubeRun $run,
        public int $joints,
        public int $oddAngles,
        public float $lengthMm,
    ) {}

    public function bends(): int
    {
        return count($this->run->bends);
    }

    /** @return array{int, int, int, float} joints, bends, angles off the grid, length: the order of preference */
    public function rank(): array
    {
        return [$this->joints, $this->bends(), $this->oddAngles, round($this->lengthMm, 3)];
    }
}
