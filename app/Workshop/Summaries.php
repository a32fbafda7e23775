<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Jobs\Summarize;
use App\Models\Job;
use App\Models\Revision;
use App\Models\Summary;
use App\Stores\JobStores;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Throwable;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Stage\Made\MadeWork;
use UpsweptBead\Core\Stage\Plan\NextAction;
use UpsweptBead\Core\Stage\Plan\NextGroup;

/**
 * Keeps what the rack shows of each job: written whenever the job changes, so that the rack itself plans nothing. One
 * that was missed, or made under other rules, is seen by what it says it was made from and is made again.
 */
final readonly class Summaries
{
    /** The group of a job whose summary is still worked out. */
    public const WORKED_OUT = 'being worked out';

    /** Where jobs stand whose document cannot be read: first, as somebody has to look at them. */
    private const UNREADABLE = -1;

    /** A job that changes again and again while it is worked out is seen to by whoever changes it. */
    private const TIMES = 3;

    public function __construct(private Workshop $workshop, private KnownPlans $plans, private JobLog $log, private BenchStanding $standing, private JobStores $stores) {}

    /** Works out one job again. One that cannot be read is kept as such, and takes nothing else down. */
    public function refresh(Job $job): void
    {
        // Somebody may save or release it meanwhile: theirs is newer, and is not written over.
        for ($i = 0; $i < self::TIMES; $i++) {
            $this->refreshOnce($job->load('revisions'), $job->current());
            $done = $job->current()->only(['id', 'version', 'status']);
            if ($done === $job->load('revisions')->current()->only(['id', 'version', 'status'])) {
                return;
            }
        }
    }

    private function refreshOnce(Job $job, Revision $revision): void
    {
        try {
            $plan = $this->plans->of($revision);
            $made = $this->standing->made($job, $revision);
            $this->keep($job, $revision, $this->workshop->read($revision), $plan, $made);
        } catch (Throwable $error) {
            Log::warning("Job $job->number cannot be read: {$error->getMessage()}");
            $this->mark($job, 'cannot be read', 'Look at its file', 'What is stored of this job cannot be read; nothing of it was changed.');
        }
    }

    /**
     * Has one job worked out again by the queue. It is not asked for a second time until something of it changes, so
     * that one which cannot be worked out keeps no page waiting.
     */
    public function later(Job $job): void
    {
        $job->load('revisions');
        $now = [
            'revision_id' => $job->current()->id,
            'version' => $job->current()->version,
            'log_position' => $this->log->now($job)->position(),
            'stamp' => $this->stamp(),
        ];
        if (Summary::query()->whereKey($job->id)->update($now) === 0) {
            $this->mark($job, self::WORKED_OUT, 'Look again in a moment', null);
        }
        Summarize::dispatch($job->id);
    }

    /** After working it out failed or took too long. */
    public function tooMuch(Job $job): void
    {
        $job->load('revisions');
        $this->mark($job, 'cannot be planned', 'Look at its file', 'Working this job out takes too long. Make it smaller, or delete it.');
    }

    private function mark(Job $job, string $group, string $next, ?string $fault): void
    {
        $revision = $job->current();
        $this->write($job, $revision, $this->log->now($job)->position(), [
            'place' => self::UNREADABLE,
            'stage' => 'survey',
            'group' => $group,
            'next' => $next,
            'facts' => [
                'title' => $job->title,
                'vehicle' => '',
                'customer' => '',
                'metal' => '',
                'purpose' => '',
                ...self::counts($revision, 0, null),
            ],
            'words' => mb_strtolower("$job->number $job->title $group"),
            'fault' => $fault,
        ]);
    }

    /** The same where the current revision's plan is at hand. */
    public function keep(Job $job, Revision $revision, CoreJob $document, KnownPlan $plan, MadeWork $made): void
    {
        // Nothing is logged before the first release.
        $isLogged = ! $revision->isDraft() || $revision->number > 1;
        $log = $isLogged ? $this->log->now($job) : null;
        $progress = $log?->progress($plan, $made) ?? Progress::of($plan->steps, []);
        $next = $revision->isDraft() ? $plan->planning : $this->making($job, $plan, $progress);
        $this->write($job, $revision, $log?->position() ?? 0, [
            'place' => $next->place(),
            'stage' => $next->stage,
            'group' => $next->group->value,
            'next' => $next->text,
            'facts' => [
                'title' => $document->title,
                'vehicle' => $document->vehicle,
                'customer' => $document->customer,
                'metal' => $document->metal,
                'purpose' => $document->purpose->label(),
                ...self::counts($revision, $plan->joints, $progress),
                'steps' => count($progress->steps),
            ],
            'words' => mb_strtolower("$job->number $document->title $document->vehicle $document->customer {$next->group->value}"),
            'fault' => null,
        ]);
    }

    /**
     * After entries were taken: only where the job stands has changed.
     *
     * @param  int  $position  the newest entry there was before the progress was read
     */
    public function logged(Job $job, NextAction $next, Progress $progress, int $position): void
    {
        if ($job->draft() !== null) {
            $this->refresh($job);

            return;
        }
        $isKept = Summary::query()->whereKey($job->id)->where('log_position', '<=', $position)->update([
            'place' => $next->place(),
            'stage' => $next->stage,
            'group' => $next->group->value,
            'next' => $next->text,
            'facts' => DB::raw(sprintf(
                'facts || \'{"jointsDone": %d, "stepsDone": %d, "steps": %d}\'::jsonb',
                $progress->jointsDone(),
                $progress->stepsDone(),
                count($progress->steps),
            )),
            'log_position' => $position,
        ]) > 0;
        // One that is newer already was kept by whoever logged after us.
        if (! $isKept && Summary::query()->whereKey($job->id)->doesntExist()) {
            $this->refresh($job);
        }
    }

    /** What is next of a released job; what is missing for it is only asked while it is still to be cut. */
    public function making(Job $job, KnownPlan $plan, Progress $progress): NextAction
    {
        $isCutNext = $progress->next()?->kind->takesStock() === true;

        return $plan->making($progress, $isCutNext ? $this->stores->stockToBuy($job, $plan->stock) : 0);
    }

    /**
     * After something came into the stores or left them: what jobs that are still to be cut lack is looked up again.
     */
    public function storesChanged(): void
    {
        Summary::query()->whereIn('group', [NextGroup::StockMissing, NextGroup::Prepare])->update(['stamp' => '']);
    }

    /** What a summary of today's rules and shop is marked with. */
    public function stamp(): string
    {
        return substr(md5(config()->string('cache.prefix').$this->workshop->stampWithoutGauges()), 0, 16);
    }

    /** @return array<string, int|string> */
    private static function counts(Revision $revision, int $joints, ?Progress $progress): array
    {
        return [
            'revision' => $revision->number,
            'status' => $revision->status->value,
            'joints' => $joints,
            'jointsDone' => $progress?->jointsDone() ?? 0,
            'steps' => 0,
            'stepsDone' => $progress?->stepsDone() ?? 0,
        ];
    }

    /**
     * @param  int  $position  the newest entry of the log that this goes by; 0 for none
     * @param  array<string, mixed>  $shown
     */
    private function write(Job $job, Revision $revision, int $position, array $shown): void
    {
        Summary::query()->upsert([[
            'job_id' => $job->id,
            'revision_id' => $revision->id,
            'version' => $revision->version,
            'log_position' => $position,
            'stamp' => $this->stamp(),
            'number' => $job->number,
            ...$shown,
            'facts' => json_encode($shown['facts'], JSON_THROW_ON_ERROR),
        ]], ['job_id']);
    }
}
