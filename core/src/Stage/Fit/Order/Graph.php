<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

/** All tasks of a build and the reasons for their order, while they are gathered. */
final class Graph
{
    /** @var array<string, Task> by id */
    private array $tasks = [];

    /** @var array<string, Before> */
    private array $befores = [];

    public function add(Task $task): void
    {
        $this->tasks[$task->id] = $task;
    }

    public function before(string $first, string $then, string $why, string $otherwise): void
    {
        $this->befores["$first $then"] ??= new Before($first, $then, $why, $otherwise);
    }

    public function has(string $id): bool
    {
        return isset($this->tasks[$id]);
    }

    /** @return array<string, Task> */
    public function tasks(): array
    {
        return $this->tasks;
    }

    /** @return list<Before> between tasks that there are */
    public function befores(): array
    {
        return array_values(array_filter(
            $this->befores,
            fn (Before $one): bool => isset($this->tasks[$one->first], $this->tasks[$one->then]),
        ));
    }
}
