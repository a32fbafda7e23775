<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Solve\Timing\BenchWork;
use UpsweptBead\Core\Solve\Timing\TimedTask;
use UpsweptBead\Core\Solve\Timing\Timetable;
use UpsweptBead\Core\Solve\Timing\TimetableAnswer;

/** Writes the answer to a schedule problem in the open format. */
final readonly class ScheduleAnswerWriter
{
    public const FORMAT = 'schedule-answer/1';

    /** @return list<WeldRefusal> why no order can be, before one is looked for */
    public static function impossible(BenchWork $work): array
    {
        $ring = $work->ring();

        return $ring === [] ? [] : [new WeldRefusal(
            'These wait for each other in a ring.',
            "tasks[$ring[0]].after",
            array_map(static fn (int $one): string => $work->tasks[$one]->id, $ring),
        )];
    }

    /** @return array<string, mixed> */
    public static function toArray(ScheduleProblem $problem, TimetableAnswer $answer): array
    {
        $work = $problem->work;
        if ($answer->late !== null) {
            return self::refused($problem->name, [new WeldRefusal(
                'This cannot be done by when it is due.',
                "tasks[$answer->late].due_min",
                $work->tasks[$answer->late]->id,
            )]);
        }
        $table = $answer->timetable;
        if ($table === null) {
            return ['format' => self::FORMAT, 'case' => $problem->name, 'status' => 'not-found'];
        }

        return [
            'format' => self::FORMAT,
            'case' => $problem->name,
            'status' => 'solved',
            'makespan_min' => round($table->endMin, 6),
            'piece_changes' => $table->changes,
            'naive_makespan_min' => round(Timetable::of($work, $work->listed())->endMin, 6),
            'tasks' => array_map(static fn (TimedTask $one): array => [
                'id' => $one->task->id,
                'start_min' => round($one->startMin, 6),
                ...($one->fillFromMin === null ? [] : ['fill_start_min' => round($one->fillFromMin, 6)]),
                'arc_start_min' => round($one->arcMin, 6),
                'end_min' => round($one->endMin, 6),
            ], $table->tasks),
        ];
    }

    /**
     * @param  list<WeldRefusal>  $reasons
     * @return array<string, mixed>
     */
    public static function refused(string $case, array $reasons): array
    {
        return WeldRefusal::answer(self::FORMAT, $case, $reasons);
    }
}
