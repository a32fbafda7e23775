<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Timing\Search;

/**
 * The purge lines of a bench, each with the minute from which it is free; whoever fills next takes the one free first.
 */
final class PurgeLines
{
    /** @var non-empty-array<int, float> */
    private array $free;

    /** @param  int  $count  1 or more */
    public function __construct(int $count)
    {
        $this->free = array_fill(0, max(1, $count), 0.0);
    }

    /** From when on one is free. */
    public function freeMin(): float
    {
        return min($this->free);
    }

    public function take(float $untilMin): void
    {
        $this->free[(int) array_search(min($this->free), $this->free, true)] = $untilMin;
    }
}
