<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\LogRequest;
use App\Models\Job;
use App\Models\User;
use App\Workshop\BenchLog;
use App\Workshop\JobView;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;

/** Entries from the bench in, where the job stands out. */
final readonly class LogController
{
    public function __construct(private Workshop $workshop, private BenchLog $log, private JobView $view) {}

    public function store(LogRequest $request, Job $job): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);
        $job->load('revisions');
        $plan = $this->workshop->planInFull($this->workshop->read($job->released() ?? $job->current()));
        $this->log->append($job, $plan, $request->units(), $user, $request->entries());
        $job->load('log.user');

        return new JsonResponse($this->view->progress($job, $plan, $this->workshop->progress($plan, $job)), 201);
    }
}
