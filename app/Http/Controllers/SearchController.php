<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChangeRequest;
use App\Jobs\SearchForRoutes;
use App\Models\Job;
use App\Models\RouteSearch;
use App\Models\SearchState;
use App\Models\User;
use App\Workshop\Searches;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Screens\FigureWriter;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Exchange\Screens\SetPlanWriter;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Solve\Route\RefusalText;
use UpsweptBead\Core\Stage\Layout\SetProblem;

/** Searches for whole sets: asked for, looked at while they run, stopped. */
final readonly class SearchController
{
    private const SECONDS = 12.0;

    public function __construct(private Workshop $workshop, private Searches $searches) {}

    public function store(ChangeRequest $request, Job $job): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);
        $document = $request->document();
        try {
            SetProblem::of($document, $this->workshop->shop());
        } catch (UnknownStock|\OutOfBoundsException $error) {
            throw ValidationException::withMessages(['document' => $error->getMessage()]);
        }
        // A newer wish for the same job takes the place of an older one.
        RouteSearch::query()
            ->where('job_id', $job->id)
            ->whereIn('state', [SearchState::Queued, SearchState::Running])
            ->update(['stop_asked' => true]);
        $earlier = $request->filled('after') ? self::of($job, $request->integer('after')) : null;
        $written = JobWriter::toArray($document);
        // Going on makes sense only for the same question.
        $goesOn = $earlier !== null && self::asks($earlier->document) === self::asks($written);
        $search = RouteSearch::query()->create([
            'job_id' => $job->id,
            'user_id' => $user->id,
            'document' => $written,
            'seconds' => self::SECONDS,
            'designs' => $goesOn ? $earlier->designs : [],
            'first_seed' => $goesOn ? $earlier->first_seed + SearchForRoutes::DESIGNS : 1,
        ]);
        $this->searches->begin($search);

        return new JsonResponse(self::view($search->refresh(), $document->units), 202);
    }

    public function show(Job $job, int $search): JsonResponse
    {
        $this->searches->takeOver();
        $found = self::of($job, $search);
        $now = $this->workshop->read($job->load('revisions')->current());

        return new JsonResponse([
            ...self::view($found, $now->units),
            'isStale' => self::asks($found->document) !== self::asks(JobWriter::toArray($now)),
        ]);
    }

    public function stop(Job $job, int $search): JsonResponse
    {
        $found = self::of($job, $search);
        if ($found->state->isOpen()) {
            RouteSearch::query()->whereKey($found->id)->update(['stop_asked' => true]);
        }

        return new JsonResponse(self::view($found->refresh(), $this->unitsOf($job)));
    }

    /** What was found is not shown any more; a search that is still running is stopped. */
    public function putAway(Job $job, int $search): JsonResponse
    {
        $found = self::of($job, $search);
        RouteSearch::query()
            ->where('job_id', $job->id)
            ->where('id', '<=', $found->id)
            ->update(['put_away' => true, 'stop_asked' => true]);

        return new JsonResponse(self::view($found->refresh(), $this->unitsOf($job)));
    }

    /** In which order the runs of a document can be put in whole, and the stages that follow it. */
    public function insertion(ChangeRequest $request): JsonResponse
    {
        $document = $request->document();
        $plan = $this->workshop->planInFull($document);
        $insertion = $request->boolean('withStubs')
            ? $plan->layout->insertion($document, $this->workshop->shop(), true)
            : $plan->fit->insertion;

        return new JsonResponse([
            'insertion' => $insertion === null ? null : SetPlanWriter::insertion($insertion),
            'plan' => PlanWriter::following($plan),
        ]);
    }

    private static function of(Job $job, int $search): RouteSearch
    {
        return RouteSearch::query()->where('job_id', $job->id)->findOrFail($search);
    }

    /**
     * What of a document decides which designs hold: the ends and the set, not the routes taken meanwhile.
     *
     * @param  array<string, mixed>  $document
     */
    private static function asks(array $document): string
    {
        $set = is_array($document['set'] ?? null) ? $document['set'] : [];
        $collectors = is_array($set['collectors'] ?? null) ? $set['collectors'] : [];
        // A collector that is made here takes the ends of its runs along; who enters where is what is searched for.
        $set['collectors'] = array_map(
            static fn (mixed $one): mixed => is_array($one) ? $one['build'] ?? null : null,
            $collectors,
        );
        unset($set['designs']);
        $runs = is_array($document['runs'] ?? null) ? $document['runs'] : [];
        $ends = [];
        foreach ($runs as $run) {
            $ends[] = is_array($run) ? [$run['start'] ?? null, $run['tube'] ?? null] : null;
        }

        return (string) json_encode(self::sorted([$ends, $set]));
    }

    /** The database keeps no order of keys, so two documents are compared in one. */
    private static function sorted(mixed $value): mixed
    {
        if (! is_array($value)) {
            // 1 and 1.0 are one number to the database.
            return is_int($value) ? (float) $value : $value;
        }
        ksort($value);

        return array_map(self::sorted(...), $value);
    }

    private function unitsOf(Job $job): UnitSystem
    {
        return $this->workshop->read($job->load('revisions')->current())->units;
    }

    /** @return array<string, mixed> */
    private static function view(RouteSearch $search, UnitSystem $units): array
    {
        return [
            'id' => $search->id,
            'state' => $search->state->value,
            'designs' => (new SetPlanWriter(new FigureWriter($units)))->found($search->designs),
            'message' => match (true) {
                $search->state === SearchState::Failed => 'The search broke off; nothing of the job was changed.',
                $search->refusal === null => '',
                default => (new RefusalText($units))->refusal($search->refusal),
            },
            'isStale' => false,
        ];
    }
}
