<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Timing;

use UpsweptBead\Core\Solve\Timing\Search\PurgeLines;

/**
 * The tasks of a bench in one order, each as early as the rules allow; earlier is never worse, as every rule only
 * pushes later. The argon is turned on as late as its arc allows.
 */
final readonly class Timetable
{
    /** @param  list<TimedTask>  $tasks  in their order */
    private function __construct(public array $tasks, public float $endMin, public int $changes) {}

    /** @param  list<int>  $order  of all tasks, none before what it comes after */
    public static function of(BenchWork $work, array $order): self
    {
        $ends = $pieceEnds = $timed = [];
        $lines = new PurgeLines($work->lines);
        $clock = 0.0;
        $piece = null;
        $changes = 0;
        foreach ($order as $i) {
            $task = $work->tasks[$i];
            $start = $clock;
            if ($task->piece !== $piece) {
                $start += $work->pieces[$task->piece]->changeMin;
                $changes += $piece === null ? 0 : 1;
            }
            foreach ($work->waits[$i] ?? [] as $from => $minutes) {
                if (isset($ends[$from])) {
                    $start = max($start, $ends[$from] + $minutes);
                }
            }
            $arc = $start + $task->setupMin;
            if ($task->fillMin > 0.0) {
                $fill = max(
                    $pieceEnds[$task->piece] ?? 0.0,
                    $lines->freeMin(),
                    ...array_map(static fn (int $one): float => $ends[$one] ?? 0.0, $task->after),
                );
                $arc = max($arc, $fill + $task->fillMin);
            }
            $clock = $arc + $task->arcMin;
            $ends[$i] = $pieceEnds[$task->piece] = $clock;
            if ($task->fillMin > 0.0) {
                $lines->take($clock + $task->holdMin);
            }
            $piece = $task->piece;
            $timed[] = new TimedTask($task, $start, $task->fillMin > 0.0 ? $arc - $task->fillMin : null, $arc, $clock);
        }

        return new self($timed, $clock, $changes);
    }

    /** Whether every task is done by when it is due. */
    public function isInTime(): bool
    {
        foreach ($this->tasks as $one) {
            if ($one->task->dueMin !== null && $one->endMin > $one->task->dueMin + 1e-9) {
                return false;
            }
        }

        return true;
    }

    public function isBetterThan(?self $other): bool
    {
        return $other === null || $this->endMin < $other->endMin - 1e-9
            || ($this->endMin < $other->endMin + 1e-9 && $this->changes < $other->changes);
    }
}
