<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

use UpsweptBead\Core\Solve\Nest\Problem\CutRules;

/**
 * Splits a run, or a stretch of it between two joints, into pieces and finds stock for each, beside what is cut from
 * that stock already: piece by piece from its first end on, the most promising branches kept side by side.
 */
final class RunSplitter
{
    /** @var list<OpenCopy> one of every kind of stock */
    private readonly array $unused;

    private readonly float $longestMm;

    /** @param  list<Donor>  $donors  those of the run's tube */
    public function __construct(private readonly array $donors, private readonly CutRules $rules)
    {
        $this->unused = array_map(OpenCopy::unused(...), $donors);
        $this->longestMm = max([1.0, ...array_map(static fn (Donor $one): float => $one->longestLegMm(), $donors)]);
    }

    /**
     * @param  PartialCut  $root  where it begins, with the stock as it is opened already
     * @param  float  $endMm  the station at which it ends: the run's end, or a joint
     * @return PartialCut|null the best of the branches that reach the end, by their weighed cost
     */
    public function split(RunShape $shape, PartialCut $root, float $endMm, Weights $weights): ?PartialCut
    {
        $best = null;
        $level = [$root];
        for ($k = $root->bend; $level !== []; $k++) {
            $behind = new Pool($weights->width);
            // Behind the last bend there is no other piece that ends the run.
            $rounds = $weights->straights + $shape->jointsOn[$k] + ($k === count($shape->bends) ? 1 : 0)
                + (int) floor(($shape->straightToMm($k) - $shape->straightFromMm($k)) / $this->longestMm);
            for ($active = $level; $active !== [] && $rounds >= 0; $rounds--) {
                $next = new Pool($weights->width);
                foreach ($active as $branch) {
                    if ($k < count($shape->bends)) {
                        $this->bent($branch, $shape, $endMm, $weights, $behind, $best);
                    }
                    if ($rounds > 0) {
                        $this->straight($branch, $shape, $endMm, $weights, $next, $best);
                    }
                }
                $active = $next->branches();
            }
            $level = $behind->branches();
        }

        return $best?->branch();
    }

    /** Adds a piece with the next bend in it. */
    private function bent(
        PartialCut $branch,
        RunShape $shape,
        float $endMm,
        Weights $weights,
        Pool $pool,
        ?Growth &$best,
    ): void {
        $from = $branch->stationMm;
        $k = $branch->bend;
        $limit = min($endMm, $shape->nextJointMm($from));
        $tangent = $shape->bends[$k]['to'];
        if ($limit < $tangent - Donor::SAME_MM) {
            return;
        }
        $stops = $shape->stops[$k + 1];
        if ($weights->isThorough && $tangent < $shape->straightToMm($k + 1)) {
            [$straights, $legs] = $this->rooms($branch);
            $ends = $this->endsOf($shape, $k + 1, $legs);
            foreach ($legs as $leg) {
                $ends[] = $tangent + $leg - $this->rules->longEndMm;
            }
            foreach ($ends as $end) {
                $stops[] = $end;
                foreach ($straights as $room) {
                    $stops[] = $end - ($room - $this->rules->longMm());
                }
            }
            $stops = self::between($stops, $tangent, $shape->straightToMm($k + 1), $shape);
        }
        foreach ($stops as $to) {
            $part = $to <= $limit + 1e-9 && $to > $from ? $shape->part($from, $to, $k) : null;
            if ($part !== null) {
                $this->place($branch, $part, $shape, $endMm, $weights, $pool, $best);
            }
        }
    }

    /** Adds a straight piece before the next bend. */
    private function straight(
        PartialCut $branch,
        RunShape $shape,
        float $endMm,
        Weights $weights,
        Pool $pool,
        ?Growth &$best,
    ): void {
        $from = $branch->stationMm;
        $k = $branch->bend;
        $most = min($endMm, $shape->nextJointMm($from), $shape->straightToMm($k));
        if ($most <= $from + Donor::SAME_MM) {
            return;
        }
        $rules = $this->rules;
        $stops = $shape->stops[$k];
        $long = ($from <= 0.0 ? $shape->run->firstLongMm : $rules->longStartMm) + $rules->longEndMm;
        $straights = [$this->longestMm];
        if ($weights->isThorough) {
            [$straights, $legs] = $this->rooms($branch);
            array_push($stops, ...$this->endsOf($shape, $k, $legs));
            foreach ($this->donors as $donor) {
                if ($this->isLeft($donor, $branch->opened)) {
                    $straights[] = $donor->longestLegMm();
                }
            }
        }
        foreach ($straights as $room) {
            $stops[] = $from + $room - $long;
        }
        foreach (self::between($stops, $from + Donor::SAME_MM, $most, $shape) as $to) {
            $part = $shape->part($from, $to, -1);
            if ($part !== null) {
                $this->place($branch, $part, $shape, $endMm, $weights, $pool, $best);
            }
        }
    }

    /** @return array{list<float>, list<float>} what the open copies have left for straight pieces, and in legs */
    private function rooms(PartialCut $branch): array
    {
        $straights = $legs = [];
        foreach ($branch->copies as $copy) {
            $rooms = $copy->rooms($this->rules->kerfMm);
            array_push($straights, ...$rooms['straights']);
            array_push($legs, ...$rooms['legs']);
        }

        return [array_values(array_unique($straights)), array_values(array_unique($legs))];
    }

    /**
     * @param  list<float>  $legs
     * @return list<float> where a straight may end so that the next bend takes all that is left of a leg
     */
    private function endsOf(RunShape $shape, int $k, array $legs): array
    {
        $ends = $shape->stops[$k];
        if (isset($shape->bends[$k])) {
            foreach ($legs as $leg) {
                $ends[] = $shape->straightToMm($k) - $leg + $this->rules->longStartMm;
            }
        }

        return $ends;
    }

    /**
     * @param  list<float>  $stops
     * @return list<float> those where a joint, or the run's end, may be
     */
    private static function between(array $stops, float $least, float $most, RunShape $shape): array
    {
        $kept = [];
        foreach ($stops as $at) {
            if ($at >= $least && $at <= $most + 1e-9 && ($at >= $shape->endMm || $shape->mayJoin($at))) {
                $kept[(int) round($at * 1000)] = $at;
            }
        }

        return array_values($kept);
    }

    /** Offers the pool, or the best if it reaches the end, every place the part can be cut from. */
    private function place(
        PartialCut $branch,
        Part $part,
        RunShape $shape,
        float $endMm,
        Weights $weights,
        Pool $pool,
        ?Growth &$best,
    ): void {
        $cutCost = $this->rules->cutCost;
        $isEnd = $part->toMm >= $endMm - 1e-9;
        $more = $part->toMm < $shape->endMm ? $this->rules->jointCost : 0.0;
        $toCome = $isEnd ? 0.0 : $this->toCome($part, $branch->bend, $shape);
        $base = $branch->score + $more;
        $limit = $best->score ?? INF;
        if (! $isEnd) {
            $limit = min($limit, $pool->worst() - $toCome);
        }
        if ($base >= $limit) {
            return;
        }
        $mm = $part->cutMm - Donor::SAME_MM;
        $arc = $part->arcMm;
        foreach ($branch->copies as $key => $copy) {
            if ($copy->longestMm < $mm || $copy->arcMm < $arc) {
                continue;
            }
            foreach ($copy->taking($part, $this->rules) as [$with, $at, $reversed]) {
                $cuts = ($with->cuts - $copy->cuts) * $cutCost;
                if ($base + $cuts < $limit) {
                    $cost = $branch->cost + $more + $cuts;
                    $growth = new Growth($branch, $part, $key, $with, $at, $reversed, $cost, $base + $cuts);
                    $limit = self::take($growth, $isEnd, $toCome, $limit, $pool, $best);
                }
            }
        }
        $next = $branch->copies === [] ? 0 : max(array_keys($branch->copies)) + 1;
        foreach ($this->unused as $copy) {
            if ($copy->longestMm < $mm || $copy->arcMm < $arc || ! $this->isLeft($copy->donor, $branch->opened)) {
                continue;
            }
            $opening = $weights->opening($copy->donor, $part->cutMm);
            foreach ($base + $opening < $limit ? $copy->taking($part, $this->rules) : [] as [$with, $at, $reversed]) {
                $cuts = $with->cuts * $cutCost;
                if ($base + $cuts + $opening < $limit) {
                    $cost = $branch->cost + $more + $cuts + $copy->donor->item->cost;
                    $growth = new Growth($branch, $part, $next, $with, $at, $reversed, $cost, $base + $cuts + $opening);
                    $limit = self::take($growth, $isEnd, $toCome, $limit, $pool, $best);
                }
            }
        }
    }

    /** The score from which on nothing more is wanted. */
    private static function take(
        Growth $growth,
        bool $isEnd,
        float $toCome,
        float $limit,
        Pool $pool,
        ?Growth &$best,
    ): float {
        if ($isEnd) {
            $best = $growth;

            return $growth->score;
        }
        $pool->offer($growth->score + $toCome, $growth);

        return min($limit, $pool->worst() - $toCome);
    }

    /** @param  array<int, int>  $opened */
    private function isLeft(Donor $donor, array $opened): bool
    {
        return $donor->item->count === null || ($opened[$donor->index] ?? 0) < $donor->item->count;
    }

    /** What the straight that is left behind a part costs at least, if no leg is long enough for it. */
    private function toCome(Part $part, int $bend, RunShape $shape): float
    {
        $next = $bend + ($part->bend === null ? 0 : 1);
        $rest = $shape->straightToMm($next) - $part->toMm;
        if ($rest <= 0.0) {
            return 0.0;
        }
        if (! isset($shape->bends[$next])) {
            return $this->rules->cutCost;
        }

        return $rest > $shape->legsMm[$next] + 0.01 ? $this->rules->jointCost + $this->rules->cutCost : 0.0;
    }
}
