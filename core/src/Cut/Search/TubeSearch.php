<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut\Search;

use UpsweptBead\Core\Cut\Problem\CutRules;
use UpsweptBead\Core\Route\Search\Chance;

/**
 * The least stock, joints and cuts for all runs of one tube: runs are taken out again and put back otherwise for as
 * long as there is time, the better plan kept.
 */
final class TubeSearch
{
    /** Branches side by side at first, and in one round (tuned on the shipped problems and others like them). */
    private const WIDE = 60;

    private const NARROW = 16;

    private readonly RunSplitter $splitter;

    private ?TubeCutting $best = null;

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
    }

    public function best(): ?TubeCutting
    {
        return $this->best;
    }

    /** Puts every run in, those with the most bends first. False if one found no place. */
    public function begin(): bool
    {
        $runs = array_keys($this->shapes);
        usort($runs, fn (int $a, int $b): int => [count($this->shapes[$b]->bends), $this->shapes[$b]->endMm]
            <=> [count($this->shapes[$a]->bends), $this->shapes[$a]->endMm]);
        $this->best = $this->with(new TubeCutting([], [], 0.0), $runs, Weights::plain(self::WIDE), INF);

        return $this->best !== null;
    }

    /** One try at something better. True if it was. */
    public function improve(): bool
    {
        $runs = array_keys($this->shapes);
        $count = count($runs);
        $most = $this->best === null ? $count : min($count, 1 + $this->chance->below(4));
        $out = array_slice($this->chance->shuffled($runs), 0, $most);
        $from = $this->best === null ? new TubeCutting([], [], 0.0) : $this->without($this->best, $out);
        $found = $this->with($from, $out, $this->weights(), $this->best->cost ?? INF);
        if ($found === null) {
            return false;
        }
        $isBetter = $this->best === null || $found->cost < $this->best->cost - 1e-9;
        // One that costs the same may lead on.
        $this->best = $found;

        return $isBetter;
    }

    private function weights(): Weights
    {
        $factors = [];
        foreach ($this->donors as $donor) {
            $factors[$donor->index] = $this->chance->from(0.4, 0.9);
        }

        return new Weights(0.5 * $this->chance->below(3), $this->chance->below(3) === 0 ? [] : $factors, self::NARROW, $this->chance->below(2) === 0);
    }

    /**
     * @param  list<int>  $runs
     * @return TubeCutting|null null if a run finds no place, or if it costs more than $most
     */
    private function with(TubeCutting $cutting, array $runs, Weights $weights, float $most): ?TubeCutting
    {
        foreach ($runs as $run) {
            $opened = [];
            foreach ($cutting->copies as $copy) {
                $opened[$copy->donor->index] = ($opened[$copy->donor->index] ?? 0) + 1;
            }
            $branch = $this->splitter->split($this->shapes[$run], $cutting->copies, $opened, $weights);
            if ($branch === null || $cutting->cost + $branch->cost > $most + 1e-9) {
                return null;
            }
            $cutting = new TubeCutting(
                [$run => $branch->placed()] + $cutting->placed,
                $branch->copies,
                $cutting->cost + $branch->cost,
            );
        }

        return $cutting;
    }

    /** @param  list<int>  $runs */
    private function without(TubeCutting $cutting, array $runs): TubeCutting
    {
        [$placed, $copies, $cost] = [$cutting->placed, $cutting->copies, $cutting->cost];
        foreach ($runs as $run) {
            $cost -= (count($placed[$run]) - 1) * $this->rules->jointCost;
            foreach ($placed[$run] as $one) {
                $copy = $copies[$one->key];
                $cost -= $copy->cuts * $this->rules->cutCost;
                $left = $copy->without($one->atMm, $one->part->cutMm, $this->rules);
                if ($left === null) {
                    $cost -= $copy->donor->item->cost;
                    unset($copies[$one->key]);
                } else {
                    $copies[$one->key] = $left;
                    $cost += $left->cuts * $this->rules->cutCost;
                }
            }
            unset($placed[$run]);
        }

        return new TubeCutting($placed, $copies, $cost);
    }
}
