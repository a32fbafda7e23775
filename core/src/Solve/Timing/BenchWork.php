<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Timing;

/** All that one welder has to do, and how long one thing has to wait for another. */
final readonly class BenchWork
{
    /**
     * @param  list<BenchPiece>  $pieces
     * @param  list<BenchTask>  $tasks
     * @param  array<int, array<int, float>>  $waits  by the task that waits and the one it waits for: minutes from its
     *   end
     * @param  int  $lines  purge lines, 1 or more
     */
    public function __construct(
        public array $pieces,
        public array $tasks,
        public array $waits,
        public int $lines,
    ) {}

    /** @param  list<BenchTask>  $tasks  in place of its own, as many and in the same order */
    public function with(array $tasks): self
    {
        return new self($this->pieces, $tasks, $this->waits, $this->lines);
    }

    /** @return list<int> the listed order: each time the first task whose forerunners are done; empty if they go round */
    public function listed(): array
    {
        $order = [];
        $left = array_keys($this->tasks);
        while ($left !== []) {
            $next = null;
            foreach ($left as $place => $task) {
                if (array_diff($this->tasks[$task]->after, $order) === []) {
                    $next = $place;
                    break;
                }
            }
            if ($next === null) {
                return [];
            }
            $order[] = $left[$next];
            unset($left[$next]);
        }

        return $order;
    }

    /** @return list<int> tasks that wait for each other in a ring; empty if none do */
    public function ring(): array
    {
        $left = array_keys($this->tasks);
        do {
            $count = count($left);
            $left = array_values(array_filter(
                $left,
                fn (int $task): bool => array_intersect($this->tasks[$task]->after, $left) !== [],
            ));
        } while (count($left) < $count);
        if ($left === []) {
            return [];
        }
        // From any of them back along what it waits for, until one comes up again.
        $seen = [];
        $task = $left[0];
        while (! in_array($task, $seen, true)) {
            $seen[] = $task;
            $task = array_values(array_intersect($this->tasks[$task]->after, $left))[0];
        }

        return array_reverse(array_slice($seen, (int) array_search($task, $seen, true)));
    }
}
