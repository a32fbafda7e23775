<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use App\Workshop\Summaries;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Works out what the rack shows of a job, apart from any page: one that takes too long or fails is marked so. */
final class Summarize implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 60;

    public bool $failOnTimeout = true;

    public function __construct(private readonly int $jobId) {}

    public function handle(Summaries $summaries): void
    {
        $job = Job::query()->find($this->jobId);
        if ($job !== null) {
            $summaries->refresh($job);
        }
    }

    public function failed(): void
    {
        $job = Job::query()->find($this->jobId);
        if ($job !== null) {
            resolve(Summaries::class)->tooMuch($job);
        }
    }
}
