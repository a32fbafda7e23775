<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\Revision;
use App\Models\RevisionStatus;
use App\Models\User;
use App\Stores\JobStores;
use App\Stores\StoresBook;
use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Account\Ledger\Ledger;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Made\Outline;
use UpsweptBead\Core\Stage\Merge\Placement;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Survey\Surveyed;

/** Saves, releases and begins drafts. Every change says which version it was made on. */
final readonly class Drafts
{
    public function __construct(
        private Workshop $workshop,
        private Summaries $summaries,
        private JobStores $stores,
        private KnownPlans $plans,
        private JobLog $log,
        private BenchStanding $standing,
    ) {}

    /** Stores a new job with its first draft. */
    public function begin(CoreJob $document): Job
    {
        $shop = $this->workshop->shop();
        $document = Placement::in(Surveyed::of($document, $shop)->job, $shop);
        $begun = DB::transaction(static function () use ($document): Job {
            $job = Job::query()->create(['number' => $document->number, 'title' => $document->title]);
            Revision::query()->create([
                'job_id' => $job->id,
                'number' => 1,
                'status' => RevisionStatus::Draft,
                'document' => JobWriter::toArray($document),
            ]);

            return $job;
        });
        $this->summaries->later($begun);

        return $begun;
    }

    /**
     * Takes a job away that was never released, with its draft, its links and what it was promised.
     *
     * @return string why it is kept; '' where it is gone
     */
    public function delete(Job $job): string
    {
        $kept = DB::transaction(static function () use ($job): string {
            Job::query()->lockForUpdate()->findOrFail($job->id);
            $isDone = array_filter(
                ['log_entries', 'photos', 'store_entries'],
                static fn (string $table): bool => DB::table($table)->where('job_id', $job->id)->exists(),
            );
            if ($isDone !== []) {
                return "Something was done on $job->number already; its log is a record, and is kept.";
            }
            if (DB::table('revisions')->where('job_id', $job->id)->where('status', RevisionStatus::Released->value)->exists()) {
                return "$job->number was released; what was released is a record, and is kept.";
            }
            foreach (['store_promises', 'customer_links', 'summaries', 'route_searches', 'revisions'] as $table) {
                DB::table($table)->where('job_id', $job->id)->delete();
            }
            $job->delete();

            return '';
        });
        if ($kept === '') {
            $this->summaries->storesChanged();
        }

        return $kept;
    }

    /**
     * @param  CoreJob  $document  with its measured ends where its readings put them
     *
     * @throws StaleDraft if the draft has moved on, or is no draft any more
     */
    public function save(Job $job, int $version, CoreJob $document): Revision
    {
        $document = Placement::in($document, $this->workshop->shop());

        return DB::transaction(function () use ($job, $version, $document): Revision {
            $draft = $this->lock($job, $version);
            // Set down as it is: a model would first compare it with what was there, value by value.
            $text = json_encode(JobWriter::toArray($document), JSON_THROW_ON_ERROR);
            $changed = ['version' => $version + 1, 'document' => $text, 'updated_at' => now()];
            Revision::query()->toBase()->where('id', $draft->id)->update($changed);
            $draft->setRawAttributes([...$draft->getAttributes(), ...$changed], true);
            $job->update(['number' => $document->number, 'title' => $document->title]);

            return $draft;
        });
    }

    /**
     * @throws StaleDraft if the draft has moved on
     * @throws NotReleasable if its plan has problems
     */
    public function release(Job $job, int $version, User $by): Revision
    {
        $released = DB::transaction(function () use ($job, $version, $by): Revision {
            $draft = Revision::query()->findOrFail($this->lock($job, $version)->id);
            $document = $this->workshop->read($draft);
            $plan = $this->workshop->planInFull($document);
            if ($plan->problems() !== []) {
                throw new NotReleasable($plan->problems());
            }
            $draft
                ->fill([
                    'status' => RevisionStatus::Released,
                    'released_by' => $by->id,
                    'released_at' => now(),
                    'shelf' => $this->workshop->shelfFor($document)->toArray(),
                    'shop' => $this->workshop->worksBy(),
                ])
                ->save();
            $this->scrap($job->load('revisions'), $draft, $plan, $by);
            $this->stores->promise($job, Ledger::of($plan, $this->workshop->shop())->goods);

            return $draft;
        }, StoresBook::TRIES);
        // What this job was promised, others can no longer have.
        $this->summaries->storesChanged();
        $this->summaries->refresh($job);

        return $released;
    }

    /** What was made by earlier revisions and is lost now is out of the stores for good. */
    private function scrap(Job $job, Revision $released, Plan $plan, User $by): void
    {
        $outline = fn (): Outline => $this->workshop->outline($plan->sketch);
        $log = $this->log->now($job);
        $made = $this->standing->heldAgainst($job, $released->number, $outline, $log);
        if ($made->pieces === []) {
            return;
        }
        $earlier = [];
        foreach ($job->revisions as $one) {
            if (in_array($one->number, $made->keys, true)) {
                $earlier[$one->number] = $this->plans->cut($one);
            }
        }
        $this->stores->writeOff($job, $made, $earlier, $log->progress(KnownPlan::of($plan), $made), $by);
    }

    /** Begins the next draft from the latest release, or gives the draft there already is. */
    public function revise(Job $job): Revision
    {
        $draft = DB::transaction(static function () use ($job): Revision {
            Job::query()->lockForUpdate()->findOrFail($job->id);
            $job->load('revisions');
            $released = $job->released();

            return $job->draft() ?? Revision::query()->create([
                'job_id' => $job->id,
                'number' => ($released->number ?? 0) + 1,
                'status' => RevisionStatus::Draft,
                'version' => 1,
                'document' => $released->document ?? throw new \LogicException('There is no release to revise.'),
            ]);
        });
        $this->summaries->refresh($job);

        return $draft;
    }

    /** The draft in its brief form, if it is still the one that is meant. */
    private function lock(Job $job, int $version): Revision
    {
        $current = Revision::query()->brief()->where('job_id', $job->id)->orderByDesc('number')->lockForUpdate()->firstOrFail();
        if (! $current->isDraft() || $current->version !== $version) {
            throw new StaleDraft($version, Revision::query()->findOrFail($current->id));
        }

        return $current;
    }
}
