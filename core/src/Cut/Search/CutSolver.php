<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut\Search;

use Closure;
use UpsweptBead\Core\Cut\Problem\CutProblem;
use UpsweptBead\Core\Cut\Problem\CutRun;
use UpsweptBead\Core\Route\Search\Chance;

/**
 * Splits the runs of a problem into pieces and finds the stock for each. Runs of different tube have nothing to do with
 * each other: each tube is searched on its own.
 */
final readonly class CutSolver
{
    /** Tries without anything better, for each run of a tube, after which a search ends before its time. */
    private const ENOUGH = 400;

    /** @param  Closure(): float  $now  seconds on any clock that only runs forward */
    public function __construct(private CutProblem $problem, private int $seed, private Closure $now) {}

    public function solve(float $seconds): CutAnswer
    {
        $until = ($this->now)() + $seconds;
        $searches = $cuttings = [];
        foreach ($this->tubes() as $tube => $runs) {
            $searches[$tube] = $this->search((string) $tube, $runs);
            $searches[$tube]->begin();
        }
        foreach ($searches as $tube => $search) {
            // Tubes share what time there is.
            $share = ($until - ($this->now)()) / (count($searches) - count($cuttings));
            $ends = ($this->now)() + $share;
            $idle = 0;
            while (($this->now)() < $ends && $idle < self::ENOUGH * count($this->problem->runs)) {
                $idle = $search->improve() ? 0 : $idle + 1;
            }
            $cuttings[$tube] = $search->best();
        }

        return in_array(null, $cuttings, true)
            ? new CutAnswer(CutStatus::NotFound)
            : CutAnswers::of($this->problem, array_filter($cuttings));
    }

    /** @return array<array-key, array<int, CutRun>> by tube */
    private function tubes(): array
    {
        $tubes = [];
        foreach ($this->problem->runs as $i => $run) {
            $tubes[$run->tube][$i] = $run;
        }

        return $tubes;
    }

    /** @param  array<int, CutRun>  $runs */
    private function search(string $tube, array $runs): TubeSearch
    {
        $donors = [];
        foreach ($this->problem->stock as $index => $item) {
            if ($item->tube === $tube && $item->count !== 0) {
                $donors[] = new Donor($index, $item);
            }
        }
        $shapes = [];
        foreach ($runs as $i => $run) {
            $shapes[$i] = new RunShape($i, $run, $this->problem->rules, $donors);
        }

        return new TubeSearch($shapes, $donors, $this->problem->rules, new Chance($this->seed));
    }
}
