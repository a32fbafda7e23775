<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

/**
 * One run of tube as surveyed: its letter, its stock, its two ends, the route taken if any, what is welded on its
 * side. Of one that is there already (a repair, a tab on a fitted pipe) nothing is cut or fitted; butts between its
 * pieces are seams that are cut out and welded again.
 */
final readonly class RunSpec
{
    /** @param  list<Fitting>  $fittings */
    public function __construct(
        public string $letter,
        public string $name,
        public string $tubeId,
        public RunEnd $start,
        public RunEnd $end,
        public ?RouteChoice $route,
        public array $fittings,
        public bool $isThere = false,
    ) {}

    public function routed(?RouteChoice $route): self
    {
        return $this->with($this->start, $this->end, $route);
    }

    /** Whether one of its ends stands on the side of another run. */
    public function isBranch(): bool
    {
        return $this->start->saddle !== null || $this->end->saddle !== null;
    }

    public function between(RunEnd $start, RunEnd $end): self
    {
        return $this->with($start, $end, $this->route);
    }

    public function with(RunEnd $start, RunEnd $end, ?RouteChoice $route): self
    {
        return new self(
            $this->letter,
            $this->name,
            $this->tubeId,
            $start,
            $end,
            $route,
            $this->fittings,
            $this->isThere,
        );
    }
}
