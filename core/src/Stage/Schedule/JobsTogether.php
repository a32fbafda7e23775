<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule;

use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Solve\Timing\BenchTask;
use UpsweptBead\Core\Solve\Timing\TimedTask;
use UpsweptBead\Core\Solve\Timing\Timetable;
use UpsweptBead\Core\Solve\Timing\TimetableSolver;
use UpsweptBead\Core\Stage\Schedule\Internal\OneBench;

/**
 * Several jobs welded at one bench by one welder, so that a seam of one cools while another is welded; beside the time
 * they take one after the other. Times in seconds.
 */
final readonly class JobsTogether
{
    private const SEED = 1;

    /**
     * @param  list<array{string, string, float, float}>  $welds  in their order: job, joint, when its arc is lit, when
     *   it is
     *                                                          done
     */
    private function __construct(public array $welds, public float $totalS, public float $oneAfterOtherS) {}

    /**
     * @param  list<JobAtBench>  $jobs
     * @param  \Closure(): float  $clock  seconds from any moment on
     * @param  float  $seconds  to look for a good order
     */
    public static function of(array $jobs, ShopRules $rules, \Closure $clock, float $seconds): self
    {
        $bench = new OneBench($jobs, $rules);
        $work = $bench->work(max(1, (int) $rules->value('schedule.lines')));
        $found = (new TimetableSolver($work, self::SEED, $clock))->solve($seconds)->timetable
            ?? Timetable::of($work, $work->listed());
        $coolAtS = 0.0;
        $welds = [];
        $sheets = array_column(array_map(
            static fn (JobAtBench $job): array => [$job->number, $job->weld->sheets],
            $jobs,
        ), 1, 0);
        foreach ($found->tasks as $one) {
            [$job, $joint] = $bench->welds[self::number($one, $work->tasks)];
            $welds[] = [$job, $joint, 60 * $one->arcMin, 60 * $one->endMin];
            $coolAtS = max($coolAtS, 60 * $one->endMin + $sheets[$job][$joint]->times->touchS);
        }

        return new self($welds, $coolAtS, array_sum(array_map(
            static fn (JobAtBench $job): float => $job->schedule->totalS,
            $jobs,
        )));
    }

    /** @param  list<BenchTask>  $tasks */
    private static function number(TimedTask $one, array $tasks): int
    {
        return (int) array_search($one->task, $tasks, true);
    }
}
