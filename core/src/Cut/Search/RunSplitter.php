<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut\Search;

use UpsweptBead\Core\Cut\Problem\CutRules;

/**
 * Splits one run into pieces and finds stock for each, beside what is cut from that stock already: from its first end
 * on, piece by piece, the most promising branches kept side by side.
 */
final readonly class RunSplitter
{
    /** More straight pieces than this between two bends are not looked for. */
    private const MOST_STRAIGHTS = 40;

    /** Of branches that cost the same at the same station only so many are kept. */
    private const ALIKE = 3;

    /** @param  list<Donor>  $donors  those of the run's tube */
    public function __construct(private array $donors, private CutRules $rules) {}

    /**
     * @param  array<int, OpenCopy>  $copies
     * @param  array<int, int>  $opened  how many of each donor
     * @return Branch|null the best of the branches that reach the end, by their weighed cost
     */
    public function split(RunShape $shape, array $copies, array $opened, Weights $weights): ?Branch
    {
        $bends = count($shape->bends);
        $best = null;
        $level = [new Branch(null, null, 0, 0.0, false, $copies, $opened, 0.0, 0.0, 0.0, 0)];
        for ($k = 0; $k <= $bends; $k++) {
            $behind = [];
            $active = $this->kept($level, $shape, $weights->width);
            for ($round = 0; $active !== [] && $round < self::MOST_STRAIGHTS; $round++) {
                $next = [];
                foreach ($active as $branch) {
                    $found = $k < $bends ? $this->bent($branch, $shape, $weights) : [];
                    foreach ([...$found, ...$this->straight($branch, $shape, $weights)] as $one) {
                        if ($best !== null && $one->score >= $best->score) {
                            continue;
                        }
                        if ($one->stationMm >= $shape->endMm) {
                            $best = $one;
                        } elseif ($one->bend > $k) {
                            $behind[] = $one;
                        } else {
                            $next[] = $one;
                        }
                    }
                }
                $active = $this->kept($next, $shape, $weights->width);
            }
            $level = $behind;
        }

        return $best;
    }

    /** @return list<Branch> those with the next bend in their last piece */
    private function bent(Branch $branch, RunShape $shape, Weights $weights): array
    {
        $from = $branch->stationMm;
        $k = $branch->bend;
        $limit = $shape->nextJointMm($from);
        $tangent = $shape->bends[$k]['to'];
        if ($limit < $tangent - Donor::SAME_MM) {
            return [];
        }
        $stops = $shape->stops[$k + 1];
        if ($weights->isThorough && $tangent < $shape->straightToMm($k + 1)) {
            [$straights, $legs] = $this->rooms($branch);
            $ends = $this->endsOf($shape, $k + 1, $legs);
            foreach ($legs as $leg) {
                $ends[] = $tangent + $leg - $this->rules->longByMm;
            }
            foreach ($ends as $end) {
                $stops[] = $end;
                foreach ($straights as $room) {
                    $stops[] = $end - ($room - 2 * $this->rules->longByMm);
                }
            }
            $stops = self::between($stops, $tangent, $shape->straightToMm($k + 1), $shape);
        }
        $found = [];
        foreach ($stops as $to) {
            $part = $to <= $limit + 1e-9 && $to > $from ? $shape->part($from, $to, $k) : null;
            if ($part !== null) {
                $this->place($branch, $part, $shape, $weights, $found);
            }
        }

        return $found;
    }

    /** @return list<Branch> those with a straight piece added before the next bend */
    private function straight(Branch $branch, RunShape $shape, Weights $weights): array
    {
        $from = $branch->stationMm;
        $k = $branch->bend;
        $most = min($shape->nextJointMm($from), $shape->straightToMm($k));
        if ($most <= $from + Donor::SAME_MM) {
            return [];
        }
        $rules = $this->rules;
        $stops = $shape->stops[$k];
        [$straights, $legs] = $this->rooms($branch);
        foreach ($this->donors as $donor) {
            if ($this->isLeft($donor, $branch->opened)) {
                $straights[] = $donor->longestLegMm();
            }
        }
        $long = ($from <= 0.0 ? $shape->run->firstLongMm : $rules->longByMm) + $rules->longByMm;
        foreach ($straights as $room) {
            $stops[] = $from + $room - $long;
        }
        if ($weights->isThorough) {
            array_push($stops, ...$this->endsOf($shape, $k, $legs));
        }
        $found = [];
        foreach (self::between($stops, $from + Donor::SAME_MM, $most, $shape) as $to) {
            $part = $shape->part($from, $to, -1);
            if ($part !== null) {
                $this->place($branch, $part, $shape, $weights, $found);
            }
        }

        return $found;
    }

    /** @return array{list<float>, list<float>} what the open copies have left for straight pieces, and in legs */
    private function rooms(Branch $branch): array
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
                $ends[] = $shape->straightToMm($k) - $leg + $this->rules->longByMm;
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

    /** @param  list<Branch>  $found  grows by a branch for every place the part can be cut from */
    private function place(Branch $branch, Part $part, RunShape $shape, Weights $weights, array &$found): void
    {
        foreach ($branch->copies as $key => $copy) {
            foreach ($copy->places($part, $this->rules) as [$at, $reversed]) {
                $with = $copy->with($at, $at + $part->cutMm, $this->rules);
                if ($with !== null) {
                    $found[] = $this->grown($branch, $part, $shape, $key, $with, $copy->cuts, $at, $reversed, 0.0, 0.0);
                }
            }
        }
        $next = $branch->copies === [] ? 0 : max(array_keys($branch->copies)) + 1;
        foreach ($this->donors as $donor) {
            if (! $this->isLeft($donor, $branch->opened)) {
                continue;
            }
            $copy = OpenCopy::unused($donor);
            foreach ($copy->places($part, $this->rules) as [$at, $reversed]) {
                $with = $copy->with($at, $at + $part->cutMm, $this->rules);
                if ($with !== null) {
                    $opening = $weights->opening($donor, $part->cutMm);
                    $cost = $donor->item->cost;
                    $found[] = $this->grown($branch, $part, $shape, $next, $with, 0, $at, $reversed, $cost, $opening);
                }
            }
        }
    }

    private function grown(
        Branch $branch,
        Part $part,
        RunShape $shape,
        int $key,
        OpenCopy $with,
        int $cutsBefore,
        float $atMm,
        bool $reversed,
        float $cost,
        float $opening,
    ): Branch {
        $more = ($with->cuts - $cutsBefore) * $this->rules->cutCost
            + ($part->toMm < $shape->endMm ? $this->rules->jointCost : 0.0);
        $opened = $branch->opened;
        if (! isset($branch->copies[$key])) {
            $opened[$with->donor->index] = ($opened[$with->donor->index] ?? 0) + 1;
        }

        return new Branch(
            $branch,
            $part,
            $key,
            $atMm,
            $reversed,
            [$key => $with] + $branch->copies,
            $opened,
            $branch->cost + $more + $cost,
            $branch->score + $more + $opening,
            $part->toMm,
            $branch->bend + ($part->bend === null ? 0 : 1),
        );
    }

    /** @param  array<int, int>  $opened */
    private function isLeft(Donor $donor, array $opened): bool
    {
        return $donor->item->count === null || ($opened[$donor->index] ?? 0) < $donor->item->count;
    }

    /**
     * @param  list<Branch>  $branches
     * @return list<Branch> the most promising
     */
    private function kept(array $branches, RunShape $shape, int $width): array
    {
        if (count($branches) <= 1) {
            return $branches;
        }
        $order = [];
        foreach ($branches as $i => $branch) {
            $order[$i] = $branch->score + $this->toCome($branch, $shape);
        }
        asort($order);
        $kept = $alike = [];
        foreach ($order as $i => $score) {
            $key = sprintf('%.2f %.3f', $branches[$i]->stationMm, $score);
            $alike[$key] = ($alike[$key] ?? 0) + 1;
            if ($alike[$key] <= self::ALIKE) {
                $kept[] = $branches[$i];
                if (count($kept) >= $width) {
                    break;
                }
            }
        }

        return $kept;
    }

    /** What the straight that lies before the next bend costs at least, if no leg is long enough for it. */
    private function toCome(Branch $branch, RunShape $shape): float
    {
        $rest = $shape->straightToMm($branch->bend) - $branch->stationMm;
        if ($rest <= 0.0) {
            return 0.0;
        }
        $bend = $shape->bends[$branch->bend] ?? null;
        if ($bend === null) {
            return $this->rules->cutCost;
        }
        $leg = 0.0;
        foreach ($this->donors as $donor) {
            if (abs($donor->clrMm - $bend['link']->clrMm) <= Donor::SAME_MM) {
                $leg = max($leg, $donor->longestLegMm() - $this->rules->longByMm);
            }
        }

        return $rest > $leg + 0.01 ? $this->rules->jointCost + $this->rules->cutCost : 0.0;
    }
}
