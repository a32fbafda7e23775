<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChangeRequest;
use App\Http\Requests\SaveDraftRequest;
use App\Models\Job;
use App\Models\User;
use App\Workshop\BenchStanding;
use App\Workshop\Drafts;
use App\Workshop\JobLog;
use App\Workshop\JobView;
use App\Workshop\KnownPlan;
use App\Workshop\LookOver;
use App\Workshop\MadeView;
use App\Workshop\NotReleasable;
use App\Workshop\StaleDraft;
use App\Workshop\Summaries;
use App\Workshop\Workshop;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Screens\FigureWriter;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Exchange\Screens\RouteWriter;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Stage\Made\MadeWork;
use UpsweptBead\Core\Stage\Made\Outline;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Survey\Surveyed;

/** Live editing: a document goes in, the plan comes out; saved only through `update`. */
final readonly class DraftController
{
    public function __construct(
        private Workshop $workshop,
        private Drafts $drafts,
        private Summaries $summaries,
        private JobLog $log,
        private BenchStanding $standing,
        private MadeView $made,
    ) {}

    public function update(SaveDraftRequest $request, Job $job): JsonResponse
    {
        $surveyed = Surveyed::of($request->document(), $this->workshop->shop());
        $document = $surveyed->job;
        try {
            $revision = $this->drafts->save($job, $request->integer('version'), $document);
        } catch (StaleDraft $stale) {
            return self::stale($stale);
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages([
                'job.number' => "There is another job $document->number already.",
            ]);
        }

        $worked = $this->workshop->plan($document, surveyed: $surveyed);
        $plan = KnownPlan::of($worked);
        $outline = fn (): Outline => $this->workshop->outline($worked->sketch);
        // Nothing is logged before the first release.
        $made = $revision->number === 1
            ? MadeWork::none()
            : $this->standing->heldAgainst($job, $revision->number, $outline, $this->log->now($job));
        $this->summaries->keep($job, $revision, $document, $plan, $made);

        return new JsonResponse([
            'revision' => JobView::revision($revision),
            'document' => $revision->document,
            'plan' => $plan->screens,
            'units' => $document->units->value,
            'next' => JobView::next($plan->planning),
            'made' => $this->made->of($job, $made, $document->units),
        ]);
    }

    /** The routes of a document that is not saved, for dragging. */
    public function preview(ChangeRequest $request): JsonResponse
    {
        return new JsonResponse(['plan' => PlanWriter::sketch($this->workshop->sketch($request->document()))]);
    }

    /** The working of one figure of a document: the rule, what went into it, its source. */
    public function why(ChangeRequest $request): JsonResponse
    {
        $document = $request->document();
        $key = $request->written('figure');
        $figure =
            $this->workshop->plan($document)->figure($key) ??
            throw ValidationException::withMessages([
                'figure' => sprintf('The plan has no figure "%s".', mb_substr($key, 0, 60)),
            ]);

        $units = UnitSystem::tryFrom($request->written('units')) ?? $document->units;

        return new JsonResponse(['reason' => (new FigureWriter($units))->reason($figure->reason)]);
    }

    /** Ways for one run of a document. */
    public function routes(ChangeRequest $request): JsonResponse
    {
        $document = $request->document();
        try {
            $answers = Planner::route($document, $request->written('letter'), $this->workshop->shopFor($document));
        } catch (UnknownStock|\OutOfBoundsException $error) {
            throw ValidationException::withMessages(['letter' => $error->getMessage()]);
        }

        return new JsonResponse((new RouteWriter(new FigureWriter($document->units)))->answers($answers));
    }

    /** What releasing the draft would do, before anybody says yes. */
    public function lookOver(Job $job, LookOver $lookOver): JsonResponse
    {
        return new JsonResponse($lookOver->of($job->load('revisions')));
    }

    public function release(Request $request, Job $job): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);
        try {
            $revision = $this->drafts->release($job, $request->integer('version'), $user);
        } catch (StaleDraft $stale) {
            return self::stale($stale);
        } catch (NotReleasable $error) {
            throw ValidationException::withMessages($error->messages());
        }

        return new JsonResponse(['revision' => JobView::revision($revision)]);
    }

    public function revise(Job $job): JsonResponse
    {
        return new JsonResponse(['revision' => JobView::revision($this->drafts->revise($job))]);
    }

    private static function stale(StaleDraft $stale): JsonResponse
    {
        return new JsonResponse([
            'message' => $stale->getMessage(),
            'madeOn' => $stale->madeOn,
            'latest' => JobView::revision($stale->current),
            'document' => $stale->current->document,
        ], 409);
    }
}
