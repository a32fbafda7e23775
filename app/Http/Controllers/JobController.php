<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Refused;
use App\Http\Requests\ChangeRequest;
use App\Models\Job;
use App\Workshop\Drafts;
use App\Workshop\JobView;
use App\Workshop\Workshop;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\Response as HttpResponse;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Files\RouteProblemJob;
use UpsweptBead\Core\Exchange\Files\RouteProblemReader;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\KeepOut\KeepOutKind;
use UpsweptBead\Core\Job\Purpose;
use UpsweptBead\Core\Shop\Stock\Metal;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Stage\Intake\TubeChoice;

final readonly class JobController
{
    public const STAGES = ['intake', 'survey', 'route', 'merge', 'cut', 'fit', 'weld', 'bench', 'handover', 'release'];

    public function __construct(private JobView $view, private Workshop $workshop) {}

    public function show(Request $request, Job $job, string $stage = 'survey'): Response
    {
        $job->load('revisions');

        return Inertia::render('job/job', [
            'stage' => $stage,
            // As objects: of an array every figure is gone through, in search of what is to be worked out later.
            'job' => fn (): object => (object) $this->view->of(
                $job,
                UnitSystem::tryFrom(is_string($request->query('units')) ? $request->query('units') : ''),
            ),
            'catalogue' => fn (): object => (object) $this->catalogue(),
        ]);
    }

    /** Begins a job from a document of its own format, or from a route problem. */
    public function store(ChangeRequest $request, Drafts $drafts): JsonResponse
    {
        $document =
            $request->input('document.format') === RouteProblemReader::FORMAT
                ? $this->fromProblem($request->input('document'))
                : $request->document();
        try {
            return new JsonResponse(['id' => $drafts->begin($document)->id], HttpResponse::HTTP_CREATED);
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['job.number' => "There is a job $document->number already."]);
        }
    }

    /** A job that nothing was logged of; what was done is a record, and is kept. */
    public function destroy(Job $job, Drafts $drafts): JsonResponse
    {
        $kept = $drafts->delete($job);

        return $kept === ''
            ? new JsonResponse(null, HttpResponse::HTTP_NO_CONTENT)
            : throw new ConflictHttpException($kept);
    }

    private function fromProblem(mixed $document): CoreJob
    {
        try {
            $problem = RouteProblemReader::read(json_encode($document, JSON_THROW_ON_ERROR));
        } catch (UnusableDocument|\JsonException $error) {
            throw ValidationException::withMessages(['document' => $error->getMessage()]);
        }
        if (! $problem instanceof RouteProblem) {
            throw Refused::for($problem);
        }
        if (trim($problem->name) === '') {
            throw ValidationException::withMessages(['document.name' => 'is missing; the job is numbered by it']);
        }

        return RouteProblemJob::of($problem, $this->workshop->shop()->catalogue);
    }

    /** The job in the open format. */
    public function export(Job $job): HttpResponse
    {
        $job->load('revisions');

        return response(JobWriter::toJson($this->workshop->read($job->current())), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="'.preg_replace('/[^A-Za-z0-9._-]+/', '-', $job->number).'.job.json"',
        ]);
    }

    /** The newest revision just as it is stored, for when it cannot be read. */
    public function stored(Job $job): JsonResponse
    {
        return new JsonResponse($job->load('revisions')->current()->document);
    }

    /** @return array<string, mixed> what can be chosen from */
    private function catalogue(): array
    {
        return [
            'tubes' => array_map(
                static fn (TubeChoice $one): array => [
                    'id' => $one->tube->id,
                    'name' => $one->tube->name,
                    'onShelf' => $one->onShelf,
                    'radii' => $one->radii,
                    'usualFor' => array_map(static fn (Purpose $purpose): string => $purpose->value, $one->usualFor),
                ],
                TubeChoice::all($this->workshop->shopWithAll()),
            ),
            'metals' => array_map(
                static fn (Metal $metal): array => ['id' => $metal->id, 'name' => $metal->name],
                array_values($this->workshop->shop()->catalogue->metals),
            ),
            'keepOutKinds' => array_map(
                fn (KeepOutKind $kind): array => [
                    'id' => $kind->value,
                    'name' => $kind->label(),
                    'clearance' => Quantity::Length->show(
                        $this->workshop->shop()->rules->value($kind->rule()),
                        UnitSystem::Metric,
                    ),
                ],
                KeepOutKind::cases(),
            ),
            'purposes' => array_map(
                static fn (Purpose $purpose): array => ['id' => $purpose->value, 'name' => $purpose->label()],
                Purpose::cases(),
            ),
        ];
    }
}
