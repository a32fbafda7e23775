<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Stage\Schedule\JobAtBench;
use UpsweptBead\Core\Stage\Schedule\JobsTogether;

/** Two jobs welded at one bench, so that a seam of one cools while another is welded. */
final readonly class BesideController
{
    /** So long a good order is looked for; more finds hardly a minute less. */
    private const SEARCH_S = 1.0;

    private const MOST_JOBS = 50;

    public function __construct(private Workshop $workshop) {}

    /** The jobs there are beside this one, the newest first. */
    public function index(Job $job): JsonResponse
    {
        $jobs = Job::query()->whereKeyNot($job->id)->orderByDesc('updated_at')->orderByDesc('id')->limit(self::MOST_JOBS)->get();

        return new JsonResponse(['jobs' => $jobs->map(static fn (Job $one): array => [
            'id' => $one->id,
            'number' => $one->number,
            'title' => $one->title,
        ])->all()]);
    }

    public function show(Job $job, Job $other): JsonResponse
    {
        if ($other->is($job)) {
            throw ValidationException::withMessages(['other' => 'A job is not welded beside itself.']);
        }
        $jobs = array_map($this->atBench(...), [$job, $other]);
        $together = JobsTogether::of(
            $jobs,
            $this->workshop->shop()->rules,
            static fn (): float => hrtime(true) / 1e9,
            self::SEARCH_S,
        );
        $shown = static fn (float $seconds): array => [
            'value' => $seconds,
            'text' => Quantity::Duration->read($seconds, UnitSystem::Metric),
        ];

        return new JsonResponse([
            'other' => $other->number,
            'total' => $shown($together->totalS),
            'oneAfterOther' => $shown($together->oneAfterOtherS),
            'welds' => array_map(static fn (array $one): array => [
                'job' => $one[0],
                'joint' => $one[1],
                'start' => $shown($one[2]),
                'end' => $shown($one[3]),
            ], $together->welds),
        ]);
    }

    private function atBench(Job $job): JobAtBench
    {
        $job->load('revisions');
        $revision = $job->current();
        $plan = $this->workshop->planInFull(
            $this->workshop->read($revision),
            null,
            $revision->isDraft() ? null : $revision,
        );
        if ($plan->schedule->slots === []) {
            throw ValidationException::withMessages([
                'other' => "Nothing of $job->number is welded yet: its welds follow from a route.",
            ]);
        }

        return new JobAtBench($job->number, $plan->fit, $plan->weld, $plan->schedule);
    }
}
