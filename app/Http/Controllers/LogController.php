<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\LogRequest;
use App\Models\Job;
use App\Models\User;
use App\Workshop\BenchLog;
use App\Workshop\JobView;
use App\Workshop\KnownPlans;
use App\Workshop\Summaries;
use App\Workshop\Taken;
use Illuminate\Http\JsonResponse;

/** Entries from the bench in; out, what became of each, and where the job stands. */
final readonly class LogController
{
    public function __construct(
        private BenchLog $log,
        private KnownPlans $plans,
        private Summaries $summaries,
        private JobView $view,
    ) {}

    public function store(LogRequest $request, Job $job): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);
        $job->load('revisions');
        $taken = $this->log->take($job, $user, $request->entries(), now());
        $job->load('log.user');
        $plan = $this->plans->of($job->released() ?? $job->current());
        $this->summaries->refresh($job);

        return new JsonResponse([
            'results' => array_map(static fn (Taken $one): array => $one->toArray(), $taken),
            'progress' => $this->view->progress($job, $plan),
        ]);
    }
}
