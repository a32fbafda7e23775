<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule\Internal;

use UpsweptBead\Core\Shop\Practice\Memo;
use UpsweptBead\Core\Solve\Timing\BenchWork;
use UpsweptBead\Core\Solve\Timing\Timetable;
use UpsweptBead\Core\Solve\Timing\TimetableSolver;

/** In which order the work of a bench is done soonest; what was found once is known by what the work is. */
final readonly class Turns
{
    private const SEED = 1;

    /** So often it looks at the clock at most: the same work every time, on any machine. */
    private const LOOKS = 30;

    /** From warm to cold for each task: a fifth of what a problem by itself is given. */
    private const MOVES_EACH = 100;

    public function __construct(private Memo $memo) {}

    public function soonest(BenchWork $work): Timetable
    {
        $key = 'turns-'.hash('xxh128', serialize($work));
        $order = $this->memo->recall([$key])[$key] ?? null;
        if (! is_array($order)) {
            $looked = 0;
            $clock = static function () use (&$looked): float {
                return $looked++ / self::LOOKS;
            };
            $found = (new TimetableSolver($work, self::SEED, $clock, self::MOVES_EACH))->solve(1.0)->timetable;
            $order = $found === null ? $work->listed() : array_map(
                static fn ($one): int => (int) array_search($one->task, $work->tasks, true),
                $found->tasks,
            );
            $this->memo->keep([$key => $order]);
        }

        return Timetable::of($work, array_values(array_filter($order, is_int(...))));
    }
}
