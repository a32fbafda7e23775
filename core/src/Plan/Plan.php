<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan;

use UpsweptBead\Core\Bench\BenchStep;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Plan\Set\NutReach;
use UpsweptBead\Core\Plan\Set\SetPlan;
use UpsweptBead\Core\Reason\Choice;
use UpsweptBead\Core\Reason\Figure;

/** Everything that follows from a job in a shop. */
final readonly class Plan
{
    /**
     * @param  list<RunPlan>  $runs
     * @param  list<BenchStep>  $steps
     * @param  list<Notice>  $notices
     * @param  array<string, Figure|Choice>  $tuning  where to start from, if the engine is known
     * @param  list<NutReach>  $nuts  how far a spanner swings on each
     */
    public function __construct(
        public Job $job,
        public array $runs,
        public SetPlan $set,
        public ArgonAccount $argon,
        public array $steps,
        public array $notices,
        public array $tuning,
        public array $nuts = [],
    ) {}

    /** @return list<Notice> what stops a release */
    public function problems(): array
    {
        return array_values(array_filter($this->notices, static fn (Notice $notice): bool => $notice->severity === Severity::Problem));
    }

    public function run(string $letter): ?RunPlan
    {
        foreach ($this->runs as $run) {
            if ($run->spec->letter === $letter) {
                return $run;
            }
        }

        return null;
    }

    public function step(string $id): ?BenchStep
    {
        foreach ($this->steps as $step) {
            if ($step->id === $id) {
                return $step;
            }
        }

        return null;
    }

    public function jointCount(): int
    {
        return array_sum(array_map(static fn (RunPlan $run): int => count($run->joints), $this->runs));
    }
}
