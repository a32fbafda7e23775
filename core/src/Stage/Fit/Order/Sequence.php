<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

use UpsweptBead\Core\Base\Reason\Override;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * The tasks of a build in their order: every reason kept, and where none decides, each in its turn. Where a person puts
 * a task before another, that counts; the reasons it breaks are named, everything else adapts.
 */
final readonly class Sequence
{
    /** A task that somebody moved: the key of the overrule, followed by the task's id; its value is the other's id. */
    public const MOVED = 'build.';

    /**
     * @param  list<Task>  $tasks
     * @param  array<string, list<Before>>  $reasons  that are kept, by the task that waits
     * @param  list<Before>  $broken
     * @param  array<string, Override>  $moved  by the task that was moved
     */
    private function __construct(
        public array $tasks,
        public array $reasons,
        public array $broken,
        public array $moved,
    ) {}

    public static function of(Graph $graph, Overrides $overrides): self
    {
        $tasks = $graph->tasks();
        $moved = [];
        foreach ($overrides->all as $one) {
            $id = substr($one->figure, strlen(self::MOVED));
            $isHere = str_starts_with($one->figure, self::MOVED) && isset($tasks[$id], $tasks[$one->value]);
            if ($isHere && $id !== $one->value) {
                $moved[$id] = $one;
                $to = $tasks[$one->value];
                $phase = $tasks[$id]->kind === StepKind::Weld ? $to->phase : $tasks[$id]->phase;
                $tasks[$id] = $tasks[$id]->ranked([...$to->rank, -1.0], $phase);
            }
        }
        [$kept, $broken] = self::kept($graph->befores(), $moved);
        $reasons = [];
        foreach ($kept as $one) {
            $reasons[$one->then][] = $one;
        }

        return new self(self::sorted($tasks, self::after($kept, $moved)), $reasons, $broken, $moved);
    }

    public function find(string $id): ?Task
    {
        foreach ($this->tasks as $task) {
            if ($task->id === $id) {
                return $task;
            }
        }

        return null;
    }

    /** @return list<Task> */
    public function ofKind(StepKind ...$kinds): array
    {
        return array_values(array_filter(
            $this->tasks,
            static fn (Task $task): bool => in_array($task->kind, $kinds, true),
        ));
    }

    /**
     * Which reasons can stand beside what a person wants.
     *
     * @param  list<Before>  $befores
     * @param  array<string, Override>  $moved
     * @return array{list<Before>, list<Before>} kept and broken
     */
    private static function kept(array $befores, array $moved): array
    {
        if ($moved === []) {
            return [$befores, []];
        }
        $then = [];
        foreach ($moved as $id => $one) {
            $then[$id][] = $one->value;
        }
        $kept = $broken = [];
        foreach ($befores as $one) {
            if (self::leads($then, $one->then, $one->first)) {
                $broken[] = $one;
            } else {
                $kept[] = $one;
                $then[$one->first][] = $one->then;
            }
        }

        return [$kept, $broken];
    }

    /** @param  array<string, list<string>>  $then  what comes behind each */
    private static function leads(array $then, string $from, string $to): bool
    {
        $open = [$from];
        $seen = [$from => true];
        while ($open !== []) {
            $one = array_pop($open);
            if ($one === $to) {
                return true;
            }
            foreach ($then[$one] ?? [] as $next) {
                if (! isset($seen[$next])) {
                    $seen[$next] = true;
                    $open[] = $next;
                }
            }
        }

        return false;
    }

    /**
     * @param  list<Before>  $kept
     * @param  array<string, Override>  $moved
     * @return list<array{string, string}> first, then
     */
    private static function after(array $kept, array $moved): array
    {
        $pairs = array_map(static fn (Before $one): array => [$one->first, $one->then], $kept);
        foreach ($moved as $id => $one) {
            // Two that were put before each other: the first of them counts.
            $pairs[] = [$id, $one->value];
        }

        return $pairs;
    }

    /**
     * @param  array<string, Task>  $tasks
     * @param  list<array{string, string}>  $pairs
     * @return list<Task>
     */
    private static function sorted(array $tasks, array $pairs): array
    {
        $waits = array_fill_keys(array_keys($tasks), 0);
        $then = [];
        foreach ($pairs as [$first, $next]) {
            $then[$first][] = $next;
            $waits[$next]++;
        }
        uasort($tasks, static fn (Task $a, Task $b): int => self::compared($a->rank, $b->rank));
        $order = [];
        while ($tasks !== []) {
            $next = null;
            foreach ($tasks as $id => $task) {
                if ($waits[$id] <= 0) {
                    $next = $task;
                    break;
                }
            }
            // Only what people put before each other in a ring waits for ever: then each takes its turn.
            $next ??= $tasks[array_key_first($tasks)];
            unset($tasks[$next->id]);
            $order[] = $next;
            foreach ($then[$next->id] ?? [] as $id) {
                $waits[$id]--;
            }
        }

        return $order;
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     */
    private static function compared(array $a, array $b): int
    {
        foreach ($a as $i => $one) {
            // One that was put before another is as long as that and one more, below 0.
            $difference = $one <=> ($b[$i] ?? 0.0);
            if ($difference !== 0) {
                return $difference;
            }
        }

        return count($b) > count($a) ? 0.0 <=> $b[count($a)] : 0;
    }
}
