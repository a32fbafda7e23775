<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search\Bound;

use UpsweptBead\Core\Solve\Nest\Problem\CutRules;
use UpsweptBead\Core\Solve\Nest\Search\Donor;
use UpsweptBead\Core\Solve\Nest\Search\RunShape;

/**
 * What no plan for the runs of one tube costs less than. Two bounds, the better of which counts.
 *
 * One goes through all ways to share bends out to pieces of stock and legs to straights, with everything else made
 * easier than it is: joints lie where they please, straight pieces cost no cut and no stock, the saw holds anything. It
 * is there for few bends only.
 *
 * The other takes each run on its own, and of every bend its share of the stock it comes from, kerf by kerf, as if the
 * rest of that stock were always used.
 */
final class LeastCost
{
    /** Choices gone through before the first bound is given up. */
    private const MOST_CHOICES = 60_000;

    private const MOST_BENDS = 7;

    /** @var list<BendToCut> */
    private array $bends = [];

    /** @var list<float> what the straights at the bends from each on cost at least, whatever is chosen */
    private array $toCome = [];

    private readonly StraightLeast $straights;

    /** The most extra length that is left anywhere. */
    private readonly float $longMm;

    private float $least = INF;

    private int $choices = 0;

    /**
     * @param  array<int, RunShape>  $shapes  by run
     * @param  list<Donor>  $donors
     */
    public function __construct(
        private readonly array $shapes,
        private readonly array $donors,
        private readonly CutRules $rules,
    ) {
        $this->straights = new StraightLeast($rules, $donors);
        $long = max($rules->longStartMm, $rules->longEndMm);
        foreach ($shapes as $shape) {
            $long = max($long, $shape->run->firstLongMm, $shape->run->lastLongMm);
            foreach (array_keys($shape->bends) as $k) {
                $this->bends[] = BendToCut::of($shape, $k, $donors, $rules);
            }
        }
        $this->longMm = $long;
    }

    /** @param  float  $known  the cost of a plan there is; nothing above it is looked at */
    public function bound(float $known): float
    {
        $bound = $this->quick();
        if ($bound >= $known - 1e-6 || $this->bends === [] || count($this->bends) > self::MOST_BENDS) {
            return min($bound, $known);
        }
        $this->least = $known;
        $this->choices = self::MOST_CHOICES;
        $this->prepare();
        $this->choose(0, $this->withoutBends(), 0.0, null, []);

        return $this->choices > 0 ? max($bound, $this->least) : $bound;
    }

    /** Run by run, the way through the modes of its bends that costs the least. */
    private function quick(): float
    {
        $sum = $this->withoutBends();
        /** @var array<string, array{float|null, float}> $so by the leg behind the last bend: that leg, and the cost */
        $so = ['' => [null, 0.0]];
        foreach ($this->bends as $bend) {
            $next = [];
            foreach ($bend->modes as $mode) {
                $share = $this->share($bend, $mode);
                foreach ($so as [$leg, $cost]) {
                    $cost += $share + $this->straights->cost($bend->shape, $bend->k, $leg, $mode->beforeMm)[0];
                    $name = (string) $mode->afterMm;
                    if ($cost < ($next[$name][1] ?? INF)) {
                        $next[$name] = [$mode->afterMm, $cost];
                    }
                }
            }
            $so = $next;
            if ($bend->isLast()) {
                $least = INF;
                foreach ($so as [$leg, $cost]) {
                    $least = min($least, $cost + $this->straights->cost($bend->shape, $bend->k + 1, $leg, null)[0]);
                }
                $sum += is_infinite($least) ? 0.0 : $least;
                $so = ['' => [null, 0.0]];
            }
        }

        return $sum;
    }

    /** What a bend takes of a piece of stock: a whole one, or its part of one and its part of the cuts. */
    private function share(BendToCut $bend, Mode $mode): float
    {
        $cost = $mode->donor->item->cost;
        if ($mode->takesFirst && $mode->takesLast) {
            return $cost;
        }
        $part = min(1.0, ($bend->arcMm + $this->rules->kerfMm) / $this->roomMm($mode->donor));

        return $part * max(0.0, $cost - $this->rules->cutCost) + min($cost, $this->rules->cutCost);
    }

    /** What bends with a kerf each can take up at most. */
    private function roomMm(Donor $donor): float
    {
        return $donor->arcToMm - $donor->arcFromMm + ($donor->isRing ? 0.0 : $this->rules->kerfMm);
    }

    /**
     * The runs without a bend: their joints and, where there is no other stock than straight, what they take of that.
     */
    private function withoutBends(): float
    {
        $joints = $pieces = 0;
        $length = 0.0;
        foreach ($this->shapes as $shape) {
            if ($shape->bends === []) {
                $own = $this->straights->joints($shape, 0, 0.0, 0.0);
                $joints += $own;
                $pieces += $own + 1;
                $length += $shape->endMm + $shape->run->firstLongMm + $shape->run->lastLongMm
                    + $own * $this->rules->longMm();
            }
        }
        $length += $pieces * $this->rules->kerfMm;
        $price = INF;
        $cuts = $pieces;
        foreach ($this->donors as $donor) {
            if ($donor->clrMm > 0.0) {
                // Legs may be left over from bends.
                return $joints * $this->rules->jointCost;
            }
            $room = $donor->toMm - $donor->fromMm + $this->rules->kerfMm;
            // A cut less than pieces where it is used up, one more where its ends are trimmed.
            $cost = $donor->item->cost + ($donor->hasFreeEnds ? -1 : 1) * $this->rules->cutCost;
            if ($cost > 0.0) {
                $price = min($price, $cost / $room);
            } else {
                $count = min($donor->item->count ?? $pieces, $pieces);
                $length -= $count * $room;
                $cuts -= $count;
            }
        }

        return $joints * $this->rules->jointCost + max(0, $cuts) * $this->rules->cutCost
            + (is_infinite($price) ? 0.0 : max(0.0, $length) * $price);
    }

    private function prepare(): void
    {
        $sum = 0.0;
        $toCome = [count($this->bends) => 0.0];
        for ($i = count($this->bends) - 1; $i >= 0; $i--) {
            $bend = $this->bends[$i];
            $before = $bend->k === 0 ? [null] : array_column($this->bends[$i - 1]->modes, 'afterMm');
            $least = $end = INF;
            foreach ($bend->modes as $mode) {
                foreach (array_unique($before) as $leg) {
                    $least = min($least, $this->straights->cost($bend->shape, $bend->k, $leg, $mode->beforeMm)[0]);
                }
                if ($bend->isLast()) {
                    $end = min($end, $this->straights->cost($bend->shape, $bend->k + 1, $mode->afterMm, null)[0]);
                }
            }
            $sum += (is_infinite($least) ? 0.0 : $least) + ($bend->isLast() && ! is_infinite($end) ? $end : 0.0);
            $toCome[$i] = $sum;
        }
        ksort($toCome);
        $this->toCome = array_values($toCome);
    }

    /**
     * @param  float  $cost  of what is chosen, but for the cuts between bends
     * @param  float  $once  what is added once, as the straights of all runs may share it
     * @param  float|null  $leg  the leg behind the bend before, in the same run
     * @param  list<SharedStock>  $stock
     */
    private function choose(int $i, float $cost, float $once, ?float $leg, array $stock): void
    {
        if ($this->choices-- <= 0) {
            return;
        }
        $so = $cost + $once;
        foreach ($stock as $one) {
            $so += $one->leastCuts($this->rules->kerfMm, $this->longMm) * $this->rules->cutCost;
        }
        if ($so + $this->toCome[$i] >= $this->least - 1e-6) {
            return;
        }
        if ($i === count($this->bends)) {
            $this->least = $so;

            return;
        }
        $bend = $this->bends[$i];
        foreach ($bend->modes as $mode) {
            [$more, $onceHere] = $this->straights->cost(
                $bend->shape,
                $bend->k,
                $bend->k === 0 ? null : $leg,
                $mode->beforeMm,
            );
            [$end, $onceEnd] = $bend->isLast()
                ? $this->straights->cost($bend->shape, $bend->k + 1, $mode->afterMm, null)
                : [0.0, 0.0];
            $more += $cost + $end;
            if ($more + $this->toCome[$i + 1] >= $this->least - 1e-6) {
                continue;
            }
            $onceAll = max($once, $onceHere, $onceEnd);
            $opened = 0;
            foreach ($stock as $at => $one) {
                if ($one->donor !== $mode->donor) {
                    continue;
                }
                $opened++;
                $with = $one->with($bend, $mode, $this->rules->kerfMm, $this->longMm);
                if ($with !== null) {
                    $shared = array_values(array_replace($stock, [$at => $with]));
                    $this->choose($i + 1, $more, $onceAll, $mode->afterMm, $shared);
                }
            }
            $item = $mode->donor->item;
            if ($item->count === null || $opened < $item->count) {
                $more += $item->cost;
                $this->choose($i + 1, $more, $onceAll, $mode->afterMm, [...$stock, SharedStock::opened($bend, $mode)]);
            }
        }
    }
}
