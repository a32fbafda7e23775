<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\Revision;
use App\Models\RouteSearch;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Screens\FlatnessWriter;
use UpsweptBead\Core\Exchange\Screens\LooksWriter;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Stage\Bench\AsWelded;
use UpsweptBead\Core\Stage\Bench\Deviation;
use UpsweptBead\Core\Stage\Bench\JobRecord;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Stage\Made\MadeWork;
use UpsweptBead\Core\Stage\Plan\NextAction;
use UpsweptBead\Core\Stage\Step\Clock;
use UpsweptBead\Core\Stage\Step\StepKind;

/** What the screens of a job get. */
final readonly class JobView
{
    public function __construct(
        private Workshop $workshop,
        private KnownPlans $plans,
        private JobLog $log,
        private BenchStanding $standing,
        private MadeView $made,
        private WrongCuts $wrong,
        private Summaries $summaries,
        private Bottles $bottles,
    ) {}

    /**
     * @param  ?Revision  $revision  the current one unless another is named
     * @return array<string, mixed>
     */
    public function of(Job $job, ?UnitSystem $shownIn = null, ?Revision $revision = null): array
    {
        $revision ??= $job->current();
        $plan = $this->plans->of($revision, $revision->isDraft() ? null : $shownIn);
        // What is built while the next revision is drafted is the latest release.
        $built = $revision->isDraft() ? $job->released() : $revision;
        $bench = $built === null ? null : $this->bench($job, $built, $built === $revision ? $plan : $this->plans->of($built));

        return [
            'id' => $job->id,
            'revision' => self::revision($revision),
            'releasedNumber' => $job->released()?->number,
            'document' => $revision->document,
            'plan' => WithoutMoney::plan($plan->screens),
            'units' => $plan->units->value,
            'next' => $built === $revision && $bench !== null ? $bench['action'] : self::next($plan->planning),
            'bench' => $bench,
            'made' => $built === $revision && $bench !== null
                ? $bench['made']
                : $this->made->of($job, $this->standing->made($job, $revision), $plan->units),
            'search' => RouteSearch::query()->where('job_id', $job->id)->where('put_away', false)->max('id'),
        ];
    }

    /** @return array{stage: string, group: string, text: string} */
    public static function next(NextAction $next): array
    {
        return ['stage' => $next->stage, 'group' => $next->group->value, 'text' => $next->text];
    }

    /** @return array<string, mixed> */
    private function bench(Job $job, Revision $built, KnownPlan $plan): array
    {
        $log = $this->log->now($job);
        $made = $this->standing->made($job, $built, $log);
        $progress = $log->progress($plan, $made);
        $next = $this->summaries->making($job, $plan, $progress);

        return [
            'looks' => LooksWriter::all(),
            'steps' => PlanWriter::steps($made->telling($plan->steps, $plan->units), $plan->units),
            ...$this->progress($job, $built, $plan, $progress, $made, $next, $log),
        ];
    }

    /** @return array<string, mixed> */
    public function progress(
        Job $job,
        Revision $revision,
        KnownPlan $plan,
        Progress $progress,
        MadeWork $made,
        NextAction $next,
        KnownLog $log,
    ): array {
        $page = $log->page();
        $record = JobRecord::of($progress, $this->workshop->shop()->rules, $plan->units);
        $wrong = $this->wrong->of($revision, $progress);
        $farEnds = array_column($wrong, 'farEnd', 'mark');

        return [
            'revision' => $revision->number,
            'position' => $log->position(),
            'done' => array_keys($progress->done),
            'closed' => (object) array_map(
                static fn (LogEntry $one): array => ['by' => $one->by, 'at' => $one->at->format('c')],
                $progress->done,
            ),
            'notes' => (object) array_map(
                static fn (array $all): array => array_map(
                    static fn (LogEntry $one): array => ['by' => $one->by, 'at' => $one->at->format('c'), 'text' => $one->note],
                    $all,
                ),
                $progress->notes,
            ),
            'added' => (object) array_map(
                static fn (array $steps): array => PlanWriter::steps($steps, $plan->units),
                $progress->added,
            ),
            'next' => $progress->next()?->id,
            'stepsDone' => $progress->stepsDone(),
            'jointsDone' => $progress->jointsDone(),
            'weldedAt' => (object) self::weldedAt($progress),
            'readings' => (object) self::readings($plan, $progress),
            'asWelded' => (object) self::asWelded($plan, $progress),
            'faces' => self::faces($plan, $progress),
            'argon' => $this->argon($plan, $progress),
            'deviations' => array_map(
                static fn (Deviation $one): array => [
                    'step' => $one->step->id,
                    'title' => $one->step->title,
                    // A wrong length goes on to the far end; who skipped what stays as it was said.
                    'what' => $one->step->kind === StepKind::Prepare && $one->by === ''
                        ? trim("$one->what ".($farEnds[$one->step->subject] ?? ''))
                        : $one->what,
                    'by' => $one->by,
                ],
                $record->deviations,
            ),
            'times' => $record->timed === 0 ? null : [
                'joints' => $record->timed,
                'planned' => Quantity::Duration->read($record->plannedS, $plan->units),
                'logged' => Quantity::Duration->read($record->loggedS, $plan->units),
            ],
            'made' => $this->made->of($job, $made, $plan->units),
            'wrong' => $wrong,
            'action' => self::next($next),
            'log' => $page['lines'],
            'earlier' => $page['earlier'],
        ];
    }

    /** @return array{needed: string, left: string, enough: bool} to the end of the job, and in the bottles as they stand now */
    private function argon(KnownPlan $plan, Progress $progress): array
    {
        $open = array_filter(
            $plan->argonL,
            static fn (string $joint): bool => ! $progress->isDone(StepKind::Weld->key($joint)),
            ARRAY_FILTER_USE_KEY,
        );
        $needed = ['torch' => array_sum(array_column($open, 0)), 'purge' => array_sum(array_column($open, 1))];
        $left = $this->bottles->leftL();
        $show = static fn (array $litres): string => Quantity::Volume->read(array_sum($litres), $plan->units);

        return [
            'needed' => $show($needed),
            'left' => $show($left),
            'enough' => $needed['torch'] <= $left['torch'] && $needed['purge'] <= $left['purge'],
        ];
    }

    /** @return array{number: int, status: string, version: int, releasedAt: string|null} */
    public static function revision(Revision $revision): array
    {
        return [
            'number' => $revision->number,
            'status' => $revision->status->value,
            'version' => $revision->version,
            'releasedAt' => $revision->released_at?->toIso8601String(),
        ];
    }

    /** @return array<string, array<string, string|int>> by joint, what was read and found the last time it was welded */
    private static function asWelded(KnownPlan $plan, Progress $progress): array
    {
        return array_map(static function (AsWelded $one) use ($plan): array {
            $text = static fn (string $name): string => isset($one->values[$name])
                ? $one->measures[$name]->quantity->show($one->values[$name], $plan->units)
                : '';

            return [
                'amps' => $text('amps'),
                'oxygen' => $text('oxygen'),
                'seconds' => $text('seconds'),
                'temperature' => $text('temperature'),
                'rounds' => $one->rounds,
                'found' => $one->inspected?->text() ?? '',
            ];
        }, AsWelded::all($progress));
    }

    /** @return list<array{title: string, flat: bool|null, verdict: string}> faces that were measured */
    private static function faces(KnownPlan $plan, Progress $progress): array
    {
        $faces = [];
        foreach ($progress->steps as $step) {
            if ($step->face !== null && $progress->isDone($step->id)) {
                $map = FlatnessWriter::map($step->face, $progress->readings[$step->id] ?? [], $plan->units);
                $faces[] = ['title' => $step->title, 'flat' => $map['flat'], 'verdict' => $map['verdict']];
            }
        }

        return $faces;
    }

    /** @return array<string, string> when joints were welded that may still be hot, by their step */
    private static function weldedAt(Progress $progress): array
    {
        $times = [];
        foreach ($progress->steps as $step) {
            $closed = $step->kind->clock() === Clock::Up ? $progress->done[$step->id] ?? null : null;
            if ($closed !== null && now()->getTimestamp() - $closed->at->getTimestamp() < $step->coolsS) {
                $times[$step->id] = $closed->at->format('c');
            }
        }

        return $times;
    }

    /** @return array<string, array<string, string>> readings as text, by step and measure */
    private static function readings(KnownPlan $plan, Progress $progress): array
    {
        $texts = [];
        foreach ($progress->steps as $step) {
            foreach ($step->measures as $measure) {
                $read = $progress->reading($step->id, $measure->name);
                if ($read !== null) {
                    $texts[$step->id][$measure->name] = $measure->quantity->show($read, $plan->units);
                }
            }
        }

        return $texts;
    }
}
