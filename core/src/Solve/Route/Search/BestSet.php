<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

/** The best set that a search has come to so far, and when. */
final class BestSet
{
    /** @var list<Way> empty until there is one */
    public array $ways = [];

    public float $objective = INF;

    private float $firstS = 0.0;

    private float $bestS = 0.0;

    public function isThere(): bool
    {
        return $this->ways !== [];
    }

    /** @param  list<Way>  $ways */
    public function take(array $ways, float $objective, float $afterS): void
    {
        $this->ways = $ways;
        $this->objective = $objective;
        $this->bestS = $afterS;
        $this->firstS = $this->firstS > 0.0 ? $this->firstS : $afterS;
    }

    /** @param  ?Miss  $nearest  what the nearest miss lacks, if there is no set */
    public function answer(?Miss $nearest): SetAnswer
    {
        return $this->isThere()
            ? new SetAnswer(SetStatus::Solved, $this->ways, $this->objective, [], null, $this->firstS, $this->bestS)
            : new SetAnswer(SetStatus::NotFound, nearest: $nearest);
    }
}
