<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Timing\Search;

use UpsweptBead\Core\Solve\Timing\BenchWork;

/**
 * Every order of a few tasks, task by task, without those that cannot come to more: branch and bound. Of two ways to
 * have done the same tasks with the same one last, the one that is nowhere earlier is left.
 */
final class ByTurns
{
    private const EPSILON = 1e-9;

    /** So many ways are kept of one set of tasks with one last. */
    private const MOST_KEPT = 40;

    private const LOOK_EVERY = 256;

    /** @var list<int> */
    public array $best = [];

    public float $bestMin = INF;

    public int $bestChanges = PHP_INT_MAX;

    /** Whether all orders were looked at. */
    public bool $isDone = false;

    private int $nodes = 0;

    /** @var array<string, list<list<float>>> by the set that is done and the last of it */
    private array $kept = [];

    /** @var list<int> */
    private array $order = [];

    /** @var array<int, float> */
    private array $ends = [];

    /** @var list<float> from when on each purge line is free, ascending */
    private array $free;

    /** @param  \Closure(): bool  $isOver */
    public function __construct(private readonly BenchWork $work, private readonly \Closure $isOver)
    {
        $this->free = array_fill(0, $work->lines, 0.0);
    }

    /**
     * @param  list<int>  $known  an order that is good already; empty for none
     * @param  bool  $isFirstEnough  whether one that keeps all dues is all that is asked for
     */
    public function search(array $known, float $knownMin, int $knownChanges, bool $isFirstEnough = false): void
    {
        [$this->best, $this->bestMin, $this->bestChanges] = [$known, $knownMin, $knownChanges];
        $this->isDone = $this->go(0, null, 0.0, 0, $isFirstEnough);
    }

    private function go(int $done, ?int $last, float $clock, int $changes, bool $isFirstEnough): bool
    {
        if (++$this->nodes % self::LOOK_EVERY === 0 && ($this->isOver)()) {
            return false;
        }
        $work = $this->work;
        $piece = $last === null ? null : $work->tasks[$last]->piece;
        if (count($this->order) === count($work->tasks)) {
            if ($clock < $this->bestMin - self::EPSILON
                || ($clock < $this->bestMin + self::EPSILON && $changes < $this->bestChanges)) {
                [$this->best, $this->bestMin, $this->bestChanges] = [$this->order, $clock, $changes];
            }

            return true;
        }
        [$next, $bound, $change, $state] = $this->left($done, $piece, $clock);
        if ($next === [] || $this->isWorse($bound, $changes + $change)) {
            return true;
        }
        if ($this->isDominated("$done $last", [$clock, (float) $changes, ...$state])) {
            return true;
        }
        asort($next);
        foreach (array_keys($next) as $i) {
            $task = $work->tasks[$i];
            $end = $next[$i];
            $this->order[] = $i;
            $this->ends[$i] = $end;
            $free = $this->free;
            if ($task->fillMin > 0.0) {
                $this->free[0] = $end + $task->holdMin;
                sort($this->free);
            }
            $isAll = $this->go(
                $done | 1 << $i,
                $i,
                $end,
                $changes + ($piece !== null && $piece !== $task->piece ? 1 : 0),
                $isFirstEnough,
            );
            $this->free = $free;
            unset($this->ends[$i]);
            array_pop($this->order);
            if (! $isAll) {
                return false;
            }
            if ($isFirstEnough && $this->best !== []) {
                return true;
            }
        }

        return true;
    }

    /**
     * What may come next with when it would end; nothing where a due time cannot be kept any more. Behind it the least
     * at which all can be done, how often the piece changes at least, and what else decides how it goes on.
     *
     * @return array{array<int, float>, float, int, list<float>}
     */
    private function left(int $done, ?int $piece, float $clock): array
    {
        $work = $this->work;
        $next = $state = $pieces = [];
        $hands = 0.0;
        $bound = $clock;
        $freeAt = $this->free[0];
        foreach ($work->tasks as $i => $task) {
            if (($done & 1 << $i) !== 0) {
                continue;
            }
            $ready = 0.0;
            foreach ($work->waits[$i] ?? [] as $from => $minutes) {
                if (isset($this->ends[$from]) && $ready < $this->ends[$from] + $minutes) {
                    $ready = $this->ends[$from] + $minutes;
                }
            }
            $change = $task->piece === $piece ? 0.0 : $work->pieces[$task->piece]->changeMin;
            $start = max($clock + $change, $ready);
            $arc = $start + $task->setupMin;
            $isNext = true;
            $fill = 0.0;
            if ($task->fillMin > 0.0) {
                foreach ($this->ends as $from => $end) {
                    if ($end > $fill && $work->tasks[$from]->piece === $task->piece) {
                        $fill = $end;
                    }
                }
            }
            foreach ($task->after as $one) {
                if (! isset($this->ends[$one])) {
                    $isNext = false;
                } elseif ($this->ends[$one] > $fill) {
                    $fill = $this->ends[$one];
                }
            }
            if ($task->fillMin > 0.0) {
                $arc = max($arc, max($fill, $freeAt) + $task->fillMin);
                $state[] = $fill;
            }
            // When it would end if it came next; whatever comes between only makes that later.
            $end = $arc + $task->arcMin;
            if ($task->dueMin !== null && $end > $task->dueMin + self::EPSILON) {
                return [[], INF, 0, []];
            }
            $bound = max($bound, $end);
            $state[] = $ready;
            $hands += $task->setupMin + $task->arcMin;
            $pieces[$task->piece] = true;
            if ($isNext) {
                $next[$i] = $end;
            }
        }
        unset($pieces[$piece ?? -1]);
        foreach (array_keys($pieces) as $one) {
            $hands += $work->pieces[$one]->changeMin;
        }

        return [
            $next,
            max($bound, $clock + $hands),
            count($pieces) - ($piece === null ? 1 : 0),
            [...$state, ...$this->free],
        ];
    }

    private function isWorse(float $bound, int $changes): bool
    {
        return $bound > $this->bestMin + self::EPSILON
            || ($bound > $this->bestMin - self::EPSILON && $changes >= $this->bestChanges);
    }

    /** @param  list<float>  $state  each the better the less it is */
    private function isDominated(string $where, array $state): bool
    {
        $kept = $this->kept[$where] ?? [];
        foreach ($kept as $one) {
            $isLess = true;
            foreach ($one as $k => $value) {
                if ($value > $state[$k] + self::EPSILON) {
                    $isLess = false;
                    break;
                }
            }
            if ($isLess) {
                return true;
            }
        }
        if (count($kept) < self::MOST_KEPT) {
            $this->kept[$where][] = $state;
        }

        return false;
    }
}
