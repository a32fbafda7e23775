<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

/**
 * Chooses one way for each tube so that the whole costs little and little is in the way: greedily at first, then tube
 * by tube until no change helps. What was measured between two ways is remembered.
 */
final class WayChooser
{
    /** @var array<int, array<int, float>> */
    private array $between = [];

    public function __construct(private readonly float $gap) {}

    /**
     * @param  list<list<Way>>  $options  by tube, best first
     * @param  float  $weight  cost of each mm that is missing
     * @param  list<int>  $order  in which the first choice is made
     * @return list<Way>|null null if a tube has no option
     */
    public function choose(array $options, float $weight, array $order): ?array
    {
        $chosen = [];
        foreach ($order as $i) {
            $best = $this->bestFor($options[$i], $chosen, $weight, INF);
            if ($best === null) {
                return null;
            }
            $chosen[$i] = $best;
        }
        for ($sweep = 0; $sweep < 6; $sweep++) {
            $changed = false;
            foreach ($order as $i) {
                $others = array_diff_key($chosen, [$i => true]);
                $best = $this->bestFor(
                    $options[$i],
                    $others,
                    $weight,
                    $this->scoreOf($chosen[$i], $others, $weight, INF) - 1e-6,
                );
                if ($best !== null) {
                    $chosen[$i] = $best;
                    $changed = true;
                }
            }
            if (! $changed) {
                break;
            }
        }
        ksort($chosen);

        return array_values($chosen);
    }

    /**
     * @param  list<Way>  $options
     * @param  array<int, Way>  $others
     */
    public function bestFor(array $options, array $others, float $weight, float $below): ?Way
    {
        $best = null;
        foreach ($options as $way) {
            if ($way->cost + min($weight, 1.0) * $way->shortfall >= $below) {
                break;
            }
            $score = $this->scoreOf($way, $others, $weight, $below);
            if ($score < $below) {
                [$below, $best] = [$score, $way];
            }
        }

        return $best;
    }

    /**
     * The ways with which a tube would fit best among the others.
     *
     * @param  list<Way>  $options
     * @param  array<int, Way>  $others
     * @return list<Way>
     */
    public function bestFew(array $options, array $others, float $weight, float $below, int $most): array
    {
        $scores = [];
        foreach ($options as $i => $way) {
            $score = $way->cost < $below ? $this->scoreOf($way, $others, $weight, $below + 30.0) : INF;
            if ($score < $below + 30.0) {
                $scores[$i] = $score;
            }
        }
        asort($scores);

        return array_map(static fn (int $i): Way => $options[$i], array_slice(array_keys($scores), 0, $most));
    }

    /** @param  array<int, Way>  $others */
    private function scoreOf(Way $way, array $others, float $weight, float $below): float
    {
        $score = $way->cost + $weight * $way->shortfall;
        foreach ($others as $other) {
            if ($score >= $below) {
                return $score;
            }
            $score += $weight * $this->short($way, $other);
        }

        return $score;
    }

    /** By how many mm two ways come short of each other. */
    public function short(Way $p, Way $q): float
    {
        if ($p->id === 0 || $q->id === 0) {
            return $this->measure($p, $q);
        }
        [$low, $high] = $p->id < $q->id ? [$p->id, $q->id] : [$q->id, $p->id];

        return $this->between[$low][$high] ??= $this->measure($p, $q);
    }

    /** @param  list<Way>  $ways */
    public function missing(array $ways): float
    {
        $sum = 0.0;
        foreach ($ways as $i => $way) {
            $sum += $way->shortfall;
            for ($j = $i + 1; $j < count($ways); $j++) {
                $sum += $this->short($way, $ways[$j]);
            }
        }

        return $sum;
    }

    private function measure(Way $p, Way $q): float
    {
        return max(
            WayClearance::pair($p, $q, $this->gap, Candidates::HAND),
            0.5 * WayClearance::lane($p, $q, $this->gap, Candidates::HAND),
        );
    }
}
