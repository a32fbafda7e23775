<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

use Closure;
use UpsweptBead\Core\Solve\Nest\Problem\CutProblem;
use UpsweptBead\Core\Solve\Nest\Problem\CutRun;
use UpsweptBead\Core\Solve\Nest\Search\Bound\LeastCost;
use UpsweptBead\Core\Solve\Nest\Search\Straight\StraightTube;
use UpsweptBead\Core\Solve\Route\Search\Chance;

/**
 * Splits the runs of a problem into pieces and finds the stock for each. Runs of different tube have nothing to do with
 * each other: each tube is searched on its own.
 */
final readonly class CutSolver
{
    /** The share of the time in which straight pieces are packed whole, before any is split. */
    private const PACKING = 0.3;

    /** @param  Closure(): float  $now  seconds on any clock that only runs forward */
    public function __construct(private CutProblem $problem, private int $seed, private Closure $now) {}

    public function solve(float $seconds): CutAnswer
    {
        $until = ($this->now)() + $seconds;
        $tubes = $this->tubes();
        $cuttings = [];
        $bound = 0.0;
        foreach ($tubes as $tube => $runs) {
            // Tubes share what time there is.
            $ends = ($this->now)() + max(0.0, $until - ($this->now)()) / (count($tubes) - count($cuttings));
            [$cuttings[$tube], $least] = $this->cut((string) $tube, $runs, $ends);
            $bound += $least;
        }

        $found = array_filter($cuttings, static fn (?TubeCutting $one): bool => $one !== null);

        return count($found) < count($cuttings)
            ? new CutAnswer(CutStatus::NotFound)
            : CutAnswers::of($this->problem, $found, $bound);
    }

    /**
     * @param  array<int, CutRun>  $runs
     * @return array{TubeCutting|null, float} the best found, and what no plan costs less than
     */
    private function cut(string $tube, array $runs, float $until): array
    {
        $rules = $this->problem->rules;
        $donors = [];
        foreach ($this->problem->stock as $index => $item) {
            if ($item->tube === $tube && $item->count !== 0) {
                $donors[] = new Donor($index, $item);
            }
        }
        $shapes = [];
        foreach ($runs as $i => $run) {
            $shapes[$i] = new RunShape($i, $run, $rules, $donors);
        }
        $chance = new Chance($this->seed);
        $began = ($this->now)();
        $bent = [
            ...array_filter($shapes, static fn (RunShape $shape): bool => $shape->bends !== []),
            ...array_filter($donors, static fn (Donor $donor): bool => $donor->clrMm > 0.0),
        ];
        $whole = null;
        if ($bent === []) {
            // Where no piece may be split, packing them is all there is to do; else it is a beginning.
            $mayBeSplit = array_filter($shapes, static fn (RunShape $shape): bool => ! $shape->isWhole()) !== [];
            $ends = $mayBeSplit ? $began + self::PACKING * ($until - $began) : $until;
            $mayPack = fn (): bool => ($this->now)() < $ends;
            [$whole, $bound] = StraightTube::cut($shapes, $donors, $rules, $chance, $mayPack);
            if (! $mayBeSplit) {
                return [$whole, $bound];
            }
        }
        $mayGoOn = fn (): bool => ($this->now)() < $until;
        $search = new TubeSearch($shapes, $donors, $rules, $chance);
        $whole === null ? $search->begin($mayGoOn) : $search->beginFrom($whole);
        $least = new LeastCost($shapes, $donors, $rules);
        $bound = $least->bound($search->best()->cost ?? INF);
        while ($mayGoOn() && ($search->best()->cost ?? INF) > $bound + 1e-6) {
            $search->improve((($this->now)() - $began) / max(1e-3, $until - $began));
        }

        return [$search->best(), $bound];
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
}
