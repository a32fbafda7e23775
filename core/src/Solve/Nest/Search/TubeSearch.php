<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

use Closure;
use UpsweptBead\Core\Solve\Nest\Problem\CutRules;
use UpsweptBead\Core\Solve\Route\Search\Chance;

/**
 * The least stock, joints and cuts for all runs of one tube: some pieces are taken out again, and their stretches of
 * run split and cut otherwise, for as long as there is time.
 */
final class TubeSearch
{
    /** Branches side by side at first, and later (tuned on the shipped problems and others like them). */
    private const WIDE = 40;

    private const NARROW = 12;

    /** Of a tube with many bends fewer at first, and as few as this where time is up. */
    private const SCANT = 4;

    /** Straight pieces in a row where nothing is found yet. */
    private const PATIENT_STRAIGHTS = 4;

    private const BENDS_TIMES_WIDE = 1500;

    /** One round in so many looks for joints thoroughly; of a tube with few bends every other one. */
    private const THOROUGH = 6;

    private const FEW_BENDS = 6;

    /** Tries without anything better, for each run, after which it is begun afresh. */
    private const PATIENCE = 120;

    /** So many stretches are taken out at once at most, of so many pieces at most. */
    private const WINDOWS = 3;

    private const PIECES = 4;

    /** One try in so many takes out all that is cut from one piece of stock, and opens another like it unwillingly. */
    private const CLOSING = 2;

    private const SHUNNED = 2.5;

    /** A plan that costs more is gone on from if its stock and cuts cost more by about this share, less and less. */
    private const WARMTH = 0.025;

    private readonly RunSplitter $splitter;

    private ?TubeCutting $now = null;

    private ?TubeCutting $best = null;

    private readonly int $bends;

    private readonly int $thorough;

    private int $idle = 0;

    /**
     * @param  array<int, RunShape>  $shapes  by run
     * @param  list<Donor>  $donors
     */
    public function __construct(
        private readonly array $shapes,
        private readonly array $donors,
        private readonly CutRules $rules,
        private readonly Chance $chance,
    ) {
        $this->splitter = new RunSplitter($donors, $rules);
        $this->bends = array_sum(array_map(static fn (RunShape $shape): int => count($shape->bends), $shapes));
        $this->thorough = $this->bends <= self::FEW_BENDS ? 2 : self::THOROUGH;
    }

    public function best(): ?TubeCutting
    {
        return $this->best;
    }

    /**
     * Puts every run in, those with the most bends first.
     *
     * @param  Closure(): bool  $mayGoOn  in haste where it says no
     */
    public function begin(Closure $mayGoOn): void
    {
        $runs = array_keys($this->shapes);
        usort($runs, fn (int $a, int $b): int => [count($this->shapes[$b]->bends), $this->shapes[$b]->endMm]
            <=> [count($this->shapes[$a]->bends), $this->shapes[$a]->endMm]);
        $width = max(self::SCANT, min(self::WIDE, intdiv(self::BENDS_TIMES_WIDE, max(1, $this->bends))));
        $this->best = $this->now = $this->whole(
            $runs,
            static fn (): Weights => Weights::plain($mayGoOn() ? $width : self::SCANT),
        );
    }

    public function beginFrom(TubeCutting $cutting): void
    {
        $this->best = $this->now = $cutting;
    }

    /**
     * One try at something better.
     *
     * @param  float  $gone  the share of the time that is gone
     */
    public function improve(float $gone): void
    {
        $this->idle++;
        $found = $this->now === null || $this->idle > self::PATIENCE * count($this->shapes)
            ? $this->afresh()
            : $this->changed($this->now, $gone);
        if ($found !== null) {
            $this->now = $found;
            if ($this->best === null || $found->cost < $this->best->cost - 1e-9) {
                $this->best = $found;
                $this->idle = 0;
            }
        }
    }

    private function afresh(): ?TubeCutting
    {
        $this->idle = 0;

        $weights = $this->best === null
            ? new Weights(0.0, [], self::WIDE, true, self::PATIENT_STRAIGHTS)
            : $this->weights(self::NARROW);

        return $this->whole($this->chance->shuffled(array_keys($this->shapes)), static fn (): Weights => $weights);
    }

    private function changed(TubeCutting $from, float $gone): ?TubeCutting
    {
        $closing = $this->chance->below(self::CLOSING) === 0 ? $this->anyCopy($from) : null;
        $windows = $closing === null ? $this->windows($from) : $this->around($from, $closing);
        $weights = $this->weights(self::NARROW, $closing === null ? null : $from->copies[$closing]->donor);
        $warmth = self::WARMTH * (1.0 - $gone) * (1.0 - $gone) * $this->withoutJoints($from);

        return $this->otherwise($from, $windows, $weights, $from->cost - $warmth * log(1.0 - $this->chance->share()));
    }

    private function withoutJoints(TubeCutting $cutting): float
    {
        $joints = array_sum(array_map(static fn (array $placed): int => count($placed) - 1, $cutting->placed));

        return $cutting->cost - $joints * $this->rules->jointCost;
    }

    /** @param  Donor|null  $shunned  what had better not be opened */
    private function weights(int $width, ?Donor $shunned = null): Weights
    {
        $factors = [];
        if ($this->chance->below(3) > 0) {
            foreach ($this->donors as $donor) {
                $factors[$donor->index] = $this->chance->from(0.4, 0.9);
            }
        }
        if ($shunned !== null) {
            $factors[$shunned->index] = self::SHUNNED;
        }

        $share = 0.5 * $this->chance->below(3);

        return new Weights($share, $factors, $width, $this->chance->below($this->thorough) === 0);
    }

    /**
     * @param  list<int>  $runs  in the order they are put in
     * @param  Closure(): Weights  $weights  asked for each
     */
    private function whole(array $runs, Closure $weights): ?TubeCutting
    {
        $cutting = new TubeCutting([], [], 0.0);
        foreach ($runs as $run) {
            $branch = $this->split($cutting, $run, 0.0, $this->shapes[$run]->endMm, 0, $weights());
            if ($branch === null) {
                return null;
            }
            $placed = [$run => $branch->placed()] + $cutting->placed;
            $cutting = new TubeCutting($placed, $branch->copies, $cutting->cost + $branch->cost);
        }

        return $cutting;
    }

    private function split(
        TubeCutting $cutting,
        int $run,
        float $fromMm,
        float $toMm,
        int $bend,
        Weights $weights,
    ): ?PartialCut {
        $opened = [];
        foreach ($cutting->copies as $copy) {
            $opened[$copy->donor->index] = ($opened[$copy->donor->index] ?? 0) + 1;
        }
        $root = new PartialCut(null, null, 0, 0.0, false, $cutting->copies, $opened, 0.0, 0.0, $fromMm, $bend);

        return $this->splitter->split($this->shapes[$run], $root, $toMm, $weights);
    }

    /** @return list<Window> one anywhere, the others mostly where the same stock is cut */
    private function windows(TubeCutting $cutting): array
    {
        $runs = array_keys($cutting->placed);
        $windows = [];
        $count = 1 + $this->chance->below(self::WINDOWS);
        for ($tries = 0; count($windows) < $count && $tries < 4 * $count; $tries++) {
            $run = $runs[$this->chance->below(count($runs))];
            $at = $this->chance->below(count($cutting->placed[$run]));
            if ($windows !== [] && $this->chance->below(4) > 0) {
                [$run, $at] = $this->neighbour($cutting, $windows[0]) ?? [$run, $at];
            }
            $pieces = min(1 + $this->chance->below(self::PIECES), count($cutting->placed[$run]));
            $first = max(0, min($at - $this->chance->below($pieces), count($cutting->placed[$run]) - $pieces));
            foreach ($windows as $other) {
                if ($other->run === $run) {
                    continue 2;
                }
            }
            $windows[] = new Window($run, $first, $pieces);
        }

        return $windows;
    }

    private function anyCopy(TubeCutting $cutting): int
    {
        $keys = array_keys($cutting->copies);

        return $keys[$this->chance->below(count($keys))];
    }

    /** @return list<Window> one in each run that is cut from a copy, its neighbours taken out as well */
    private function around(TubeCutting $cutting, int $copy): array
    {
        $windows = [];
        foreach ($cutting->placed as $run => $placed) {
            $at = [];
            foreach ($placed as $i => $one) {
                if ($one->key === $copy) {
                    $at[] = $i;
                }
            }
            if ($at !== []) {
                $first = max(0, $at[0] - $this->chance->below(2));
                $last = min(count($placed) - 1, $at[count($at) - 1] + $this->chance->below(2));
                $windows[] = new Window($run, $first, $last - $first + 1);
            }
        }

        return $windows;
    }

    /** @return array{int, int}|null a piece of another run that is cut from the same stock, if there is one */
    private function neighbour(TubeCutting $cutting, Window $window): ?array
    {
        $keys = [];
        foreach (array_slice($cutting->placed[$window->run], $window->first, $window->count) as $one) {
            $keys[$one->key] = true;
        }
        $found = [];
        foreach ($cutting->placed as $run => $placed) {
            foreach ($run === $window->run ? [] : $placed as $i => $one) {
                if (isset($keys[$one->key])) {
                    $found[] = [$run, $i];
                }
            }
        }

        return $found === [] ? null : $found[$this->chance->below(count($found))];
    }

    /**
     * @param  list<Window>  $windows
     * @return TubeCutting|null null if a stretch finds no place, or if it costs more than $mostCost
     */
    private function otherwise(
        TubeCutting $cutting,
        array $windows,
        Weights $weights,
        float $mostCost,
    ): ?TubeCutting {
        $out = [];
        foreach ($windows as $window) {
            $out[$window->run] = array_slice($cutting->placed[$window->run], $window->first, $window->count);
        }
        $cutting = $this->without($cutting, $out);
        foreach ($this->chance->shuffled($windows) as $window) {
            $parts = $out[$window->run];
            $before = array_slice($cutting->placed[$window->run], 0, $window->first);
            $bend = count(array_filter($before, static fn (PlacedSpan $one): bool => $one->part->bend !== null));
            [$from, $to] = [$parts[0]->part->fromMm, $parts[count($parts) - 1]->part->toMm];
            $branch = $this->split($cutting, $window->run, $from, $to, $bend, $weights);
            if ($branch === null || $cutting->cost + $branch->cost > $mostCost + 1e-9) {
                return null;
            }
            $placed = $cutting->placed;
            array_splice($placed[$window->run], $window->first, $window->count, $branch->placed());
            $cutting = new TubeCutting($placed, $branch->copies, $cutting->cost + $branch->cost);
        }

        return $cutting;
    }

    /**
     * Without the stock, cuts and joints of some pieces; they are still in the list of their run.
     *
     * @param  array<int, list<PlacedSpan>>  $out  by run
     */
    private function without(TubeCutting $cutting, array $out): TubeCutting
    {
        [$copies, $cost] = [$cutting->copies, $cutting->cost];
        foreach ($out as $run => $placed) {
            foreach ($placed as $one) {
                $copy = $copies[$one->key];
                $cost -= $copy->cuts * $this->rules->cutCost;
                $cost -= $one->part->toMm < $this->shapes[$run]->endMm ? $this->rules->jointCost : 0.0;
                $left = $copy->without($one->atMm, $one->part->cutMm, $this->rules);
                if ($left === null) {
                    $cost -= $copy->donor->item->cost;
                    unset($copies[$one->key]);
                } else {
                    $copies[$one->key] = $left;
                    $cost += $left->cuts * $this->rules->cutCost;
                }
            }
        }

        return new TubeCutting($cutting->placed, $copies, $cost);
    }
}
