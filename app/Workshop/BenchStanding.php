<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\Revision;
use Closure;
use UpsweptBead\Core\Stage\Bench\LogEntry as CoreEntry;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Stage\Made\MadeWork;
use UpsweptBead\Core\Stage\Made\Outline;

/** Where a job stands at the bench by one of its revisions: what earlier ones made counts as far as it still fits. */
final readonly class BenchStanding
{
    public function __construct(private KnownPlans $plans, private JobLog $log, private SharedMemo $memo) {}

    /** By a release, or by a draft as if it were released. */
    public function progress(Job $job, Revision $revision): Progress
    {
        $log = $this->log->now($job);

        return $log->progress($this->plans->of($revision), $this->made($job, $revision, $log));
    }

    /** What earlier revisions made that this one wants otherwise. */
    public function made(Job $job, Revision $revision, ?KnownLog $log = null): MadeWork
    {
        $log ??= $this->log->now($job);
        $earlier = self::before($revision->number, $log);
        if ($earlier === []) {
            return MadeWork::none();
        }
        $ids = array_map(static fn (CoreEntry $one): string => $one->id, $log->entries());
        $key = 'made-'.$this->plans->keyOf($revision).'-'.hash('sha256', implode(' ', $ids));
        $known = $this->memo->recall([$key])[$key] ?? null;
        if (! $known instanceof MadeWork) {
            $known = $this->heldAgainst($job, $revision->number, fn (): Outline => $this->plans->outline($revision), $log);
            $this->memo->keep([$key => $known]);
        }

        return $known;
    }

    /**
     * The same where that revision's plan is at hand.
     *
     * @param  Closure(): Outline  $outline  asked for only where something was made before
     */
    public function heldAgainst(Job $job, int $number, Closure $outline, KnownLog $log): MadeWork
    {
        $earlier = self::before($number, $log);
        $plans = [];
        foreach ($earlier === [] ? [] : $job->revisions as $one) {
            if (in_array($one->number, $earlier, true)) {
                $plans[$one->number] = $this->plans->outline($one);
            }
        }

        return $plans === [] ? MadeWork::none() : MadeWork::of($outline(), $number, $plans, $log->entries());
    }

    /** @return list<int> numbers of the earlier revisions that something was logged by */
    private static function before(int $number, KnownLog $log): array
    {
        $numbers = array_map(static fn (CoreEntry $one): int => $one->revision, $log->entries());

        return array_values(array_unique(array_filter($numbers, static fn (int $one): bool => $one < $number)));
    }
}
