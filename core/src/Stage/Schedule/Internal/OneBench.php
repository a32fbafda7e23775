<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule\Internal;

use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Solve\Timing\BenchPiece;
use UpsweptBead\Core\Solve\Timing\BenchTask;
use UpsweptBead\Core\Solve\Timing\BenchWork;
use UpsweptBead\Core\Stage\Schedule\JobAtBench;
use UpsweptBead\Core\Stage\Schedule\Weld;

/** The welds of several jobs as the work of one bench; of each job what hands go to in between is cold first. */
final class OneBench
{
    /** @var list<BenchPiece> */
    private array $pieces = [];

    /** @var list<BenchTask> */
    private array $tasks = [];

    /** @var array<int, array<int, float>> */
    private array $waits = [];

    /** @var list<array{string, string}> job and joint, by task */
    public array $welds = [];

    /** @param  list<JobAtBench>  $jobs */
    public function __construct(array $jobs, private readonly ShopRules $rules)
    {
        foreach ($jobs as $job) {
            $before = [];
            foreach (Stretches::of($job->fit, $job->weld) as $stretch) {
                $before += $this->add($job, $stretch, $before);
            }
        }
    }

    public function work(int $lines): BenchWork
    {
        return new BenchWork($this->pieces, $this->tasks, $this->waits, $lines);
    }

    /**
     * @param  array<int, Weld>  $before  what the job has been welded so far, by task
     * @return array<int, Weld> its own
     */
    private function add(JobAtBench $job, WeldSession $stretch, array $before): array
    {
        $work = $stretch->work($this->rules, 1);
        [$task0, $piece0] = [count($this->tasks), count($this->pieces)];
        foreach ($work->pieces as $piece) {
            $this->pieces[] = new BenchPiece("$job->number $piece->id", $piece->changeMin);
        }
        $own = [];
        foreach ($work->tasks as $i => $task) {
            $weld = $own[$task0 + $i] = $stretch->welds[$i];
            $this->welds[] = [$job->number, $task->id];
            $this->tasks[] = new BenchTask(
                "$job->number $task->id",
                $piece0 + $task->piece,
                $task->setupMin,
                $task->fillMin,
                $task->arcMin,
                $task->holdMin,
                [...array_keys($before), ...array_map(static fn (int $one): int => $task0 + $one, $task->after)],
                null,
            );
            foreach ($work->waits[$i] ?? [] as $from => $minutes) {
                $this->waits[$task0 + $i][$task0 + $from] = $minutes;
            }
            foreach ($before as $from => $earlier) {
                $times = $job->weld->sheets[$earlier->joint->id]->times;
                $warm = new WarmJoint($earlier, $times);
                if ($warm->isHandledBefore($weld)) {
                    $this->waits[$task0 + $i][$from] = $times->touchS / 60;
                } elseif ($warm->delays($weld)) {
                    $this->waits[$task0 + $i][$from] = $times->coolS / 60;
                }
            }
        }

        return $own;
    }
}
