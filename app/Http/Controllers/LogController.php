<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Csv;
use App\Http\Requests\LogPageRequest;
use App\Http\Requests\LogRequest;
use App\Http\Requests\StandingRequest;
use App\Models\Job;
use App\Models\Revision;
use App\Models\User;
use App\Stores\JobStores;
use App\Workshop\BenchLog;
use App\Workshop\BenchStanding;
use App\Workshop\JobLog;
use App\Workshop\JobView;
use App\Workshop\KnownPlans;
use App\Workshop\Summaries;
use App\Workshop\Taken;
use Generator;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;
use UpsweptBead\Core\Stage\Step\StepKind;

/** Entries from the bench in; out, what became of each, and where the job stands. */
final readonly class LogController
{
    public function __construct(
        private BenchLog $bench,
        private JobLog $log,
        private BenchStanding $standing,
        private KnownPlans $plans,
        private Summaries $summaries,
        private JobView $view,
        private JobStores $stores,
    ) {}

    /** The lines before a place in the log, or the newest; a page at a time. */
    public function index(LogPageRequest $request, Job $job): JsonResponse
    {
        $before = $request->before();

        return new JsonResponse($before === null ? $this->log->now($job)->page() : $this->log->page($job, $before));
    }

    public function store(LogRequest $request, Job $job): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);
        $job->load(['revisions' => static fn (HasMany $all) => $all->brief()]);
        $taken = $this->bench->take($job, $user, $request->entries(), now());
        $this->follow($request, $job, $taken, $user);

        return new JsonResponse([
            'results' => array_map(static fn (Taken $one): array => $one->toArray(), $taken),
            'progress' => $this->progress($job, isNew: true),
        ]);
    }

    /** Where the job stands now, for a bench that stays open; nothing where it knows all of that already. */
    public function standing(StandingRequest $request, Job $job): JsonResponse
    {
        $job->load(['revisions' => static fn (HasMany $all) => $all->brief()]);
        $isKnown = $request->revision() === $job->released()?->number
            && $request->position() === $this->log->now($job)->position();

        return new JsonResponse(['progress' => $isKnown ? null : $this->progress($job)]);
    }

    /** @return array<string, mixed> */
    private function progress(Job $job, bool $isNew = false): array
    {
        $revision = $job->released() ?? Revision::query()->findOrFail($job->current()->id);
        $plan = $this->plans->of($revision);
        $log = $this->log->now($job);
        $made = $this->standing->made($job, $revision, $log);
        $progress = $log->progress($plan, $made);
        $next = $this->summaries->making($job, $plan, $progress);
        if ($isNew) {
            $this->summaries->logged($job, $next, $progress, $log->position());
        }

        return $this->view->progress($job, $revision, $plan, $progress, $made, $next, $log);
    }

    /**
     * The stores follow what the bench says was cut; where their count says that there is none, that is left open.
     *
     * @param  list<Taken>  $taken
     */
    private function follow(LogRequest $request, Job $job, array $taken, User $by): void
    {
        $released = $job->released();
        if ($released === null) {
            return;
        }
        $plan = $this->plans->of($released);
        $kinds = array_column($plan->steps, 'kind', 'id');
        foreach ($request->entries() as $i => $entry) {
            [$step, $kind] = is_array($entry) ? [$entry['step'] ?? '', $entry['kind'] ?? ''] : ['', ''];
            $isCut = is_string($step) && ($kinds[$step] ?? null) === StepKind::Prepare && in_array($kind, ['done', 'reopen'], true);
            if ($taken[$i]->state === 'stored' && $isCut) {
                $this->stores->follow($job, $this->plans->cut($released), $this->standing->progress($job, $released), $by, $this->standing->made($job, $released));
                $this->summaries->storesChanged();

                return;
            }
        }
    }

    /** All of it as a table, however long. */
    public function csv(Job $job): StreamedResponse
    {
        return Csv::download(
            "$job->number-log.csv",
            ['at', 'step', 'what', 'by', 'readings (base units)', 'note', 'why gone on', 'found'],
            $this->rows($job),
        );
    }

    /** @return Generator<int, list<string>> */
    private function rows(Job $job): Generator
    {
        foreach ($this->log->all($job) as $entry) {
            $readings = array_map(
                static fn (string $measure, float $value): string => "$measure=$value",
                array_keys($entry->values),
                $entry->values,
            );
            yield [
                $entry->at->format('c'),
                $entry->stepId,
                $entry->kind->value,
                $entry->by,
                implode('; ', $readings),
                $entry->note,
                $entry->why,
                $entry->inspected?->text() ?? '',
            ];
        }
    }
}
