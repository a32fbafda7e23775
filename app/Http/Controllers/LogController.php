<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\LogRequest;
use App\Models\Job;
use App\Models\User;
use App\Workshop\BenchLog;
use App\Workshop\JobView;
use App\Workshop\Taken;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;

/** Entries from the bench in; out, what became of each, and where the job stands. */
final readonly class LogController
{
    public function __construct(private Workshop $workshop, private BenchLog $log, private JobView $view) {}

    public function store(LogRequest $request, Job $job): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);
        $job->load('revisions');
        $taken = $this->log->take($job, $user, $request->entries(), now());
        $job->load('log.user');
        $plan = $this->workshop->planInFull($this->workshop->read($job->released() ?? $job->current()));

        return new JsonResponse([
            'results' => array_map(static fn (Taken $one): array => $one->toArray(), $taken),
            'progress' => $this->view->progress($job, $plan, $this->workshop->progress($plan, $job)),
        ]);
    }
}
