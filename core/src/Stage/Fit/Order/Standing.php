<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * What stands together once a task is done: pieces by their marks, whole runs and collectors by their letters. What is
 * welded by itself stands alone on the bench.
 */
final readonly class Standing
{
    /** @param  array<string, list<string>>  $marks  of all pieces, by the letter of their run or collector */
    public function __construct(private array $marks) {}

    /**
     * @param  list<Task>  $tasks  in their order
     * @return array<string, list<string>> by task
     */
    public function all(array $tasks): array
    {
        $there = $standing = [];
        // Runs that go back one by one stand there once they do; collectors do from the first of them on.
        $away = [];
        foreach ($tasks as $task) {
            if ($task->kind === StepKind::Refit && $task->run !== Task::ALL) {
                $away[$task->run] = true;
            }
        }
        foreach ($tasks as $task) {
            if ($task->kind === StepKind::Refit) {
                unset($away[$task->run]);
            }
            if ($task->kind === StepKind::Tack) {
                foreach ([$task->brings, $task->to] as $mark) {
                    $there[$task->run][$mark] = true;
                }
            }
            $standing[$task->id] = $this->after($task, $there, array_keys($away));
        }

        return $standing;
    }

    /**
     * @param  array<string, array<string, true>>  $there  marks that were fitted so far, by run
     * @param  list<string>  $away  runs that do not stand in their place yet
     * @return list<string>
     */
    private function after(Task $task, array $there, array $away): array
    {
        $joint = $task->joint;
        $isLoose = $task->kind === StepKind::Weld
            && ($joint?->type === JointType::DonutSeam || $joint?->type === JointType::Bung);
        if ($joint !== null && $isLoose) {
            return [$joint->between->name];
        }

        return match (true) {
            $task->phase === Phase::Merge, $task->phase === Phase::Outlet => $this->ofOne($task->run, $there),
            $task->phase === Phase::Alone, $task->phase === Phase::Bench, $task->kind === StepKind::FullTack => [
                $task->run,
            ],
            $task->phase === Phase::Together => array_values(
                array_diff(array_map(strval(...), array_keys($this->marks)), $away),
            ),
            default => $this->soFar($there),
        };
    }

    /**
     * @param  array<string, array<string, true>>  $there
     * @return list<string>
     */
    private function soFar(array $there): array
    {
        $all = [];
        foreach (array_keys($there) as $letter) {
            array_push($all, ...$this->ofOne($letter, $there));
        }

        return $all;
    }

    /**
     * @param  array<string, array<string, true>>  $there
     * @return list<string>
     */
    private function ofOne(string $letter, array $there): array
    {
        $marks = $this->marks[$letter] ?? [];
        $fitted = array_values(array_filter($marks, static fn (string $mark): bool => isset($there[$letter][$mark])));

        return $fitted === $marks || $marks === [] ? [$letter] : $fitted;
    }
}
