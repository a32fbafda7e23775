<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Timing\Search;

use Random\Randomizer;
use UpsweptBead\Core\Solve\Timing\BenchWork;

/**
 * Moves tasks about in an order, worse at first as well, ever less so: simulated annealing, begun again from the best
 * when it has cooled. Mostly one task is put elsewhere, else two are swapped or a few neighbours moved together.
 */
final class Annealing
{
    /** Shares of the kinds of move. */
    private const INSERT = 0.6;

    private const SWAP = 0.8;

    private const LONGEST_BLOCK = 5;

    /** It begins so warm, as a share of what an order costs, and ends so cold (min). */
    private const WARM = 0.03;

    private const COLD_MIN = 0.02;

    /** So many moves from warm to cold, for each task. */
    public const MOVES_EACH = 500;

    private const LOOK_EVERY = 64;

    /** @var list<int> */
    public array $best;

    public float $bestCost;

    private readonly int $count;

    /** @param  list<int>  $start  an order that can be */
    public function __construct(
        private readonly BenchWork $work,
        array $start,
        private readonly Randomizer $dice,
        private readonly int $movesEach = self::MOVES_EACH,
    ) {
        $this->count = count($start);
        $this->best = $start;
        $this->bestCost = INF;
    }

    /** @param  \Closure(): bool  $isOver */
    public function run(\Closure $isOver): void
    {
        $walk = new Walk($this->work);
        $walk->begin($this->best);
        $this->bestCost = $walk->cost;
        if ($this->count < 2) {
            return;
        }
        while (true) {
            $walk->begin($this->best);
            $warm = max(self::COLD_MIN * 2, self::WARM * $walk->cost);
            $moves = $this->movesEach * $this->count;
            $cooler = (self::COLD_MIN / $warm) ** (1 / $moves);
            for ($move = 0; $move < $moves; $move++) {
                if ($move % self::LOOK_EVERY === 0 && $isOver()) {
                    return;
                }
                $warm *= $cooler;
                [$order, $from] = $this->moved($walk->order);
                $cost = $walk->costOf($order, $from);
                $worse = $cost - $walk->cost;
                if ($worse <= 0.0 || ($worse < 20 * $warm && $this->chance() < exp(-$worse / $warm))) {
                    $walk->take($order, $cost);
                    if ($cost < $this->bestCost - 1e-9) {
                        [$this->best, $this->bestCost] = [$order, $cost];
                    }
                }
            }
        }
    }

    /**
     * @param  list<int>  $order
     * @return array{list<int>, int} and the first place that is another
     */
    private function moved(array $order): array
    {
        $kind = $this->chance();
        $a = $this->dice->getInt(0, $this->count - 1);
        $b = $this->dice->getInt(0, $this->count - 2);
        $b += $b >= $a ? 1 : 0;
        if ($kind >= self::INSERT && $kind < self::SWAP) {
            [$order[$a], $order[$b]] = [$order[$b], $order[$a]];

            return [array_values($order), min($a, $b)];
        }
        $long = $kind < self::INSERT ? 1 : $this->dice->getInt(2, min(self::LONGEST_BLOCK, $this->count));
        $a = min($a, $this->count - $long);
        $block = array_splice($order, $a, $long);
        $b = min($b, $this->count - $long);
        array_splice($order, $b, 0, $block);

        return [$order, min($a, $b)];
    }

    private function chance(): float
    {
        return $this->dice->getInt(0, 999999) / 1e6;
    }
}
