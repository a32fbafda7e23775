<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Intake\IntakeSpec;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Intake\Heat;
use UpsweptBead\Core\Stage\Intake\IntakeChecks;
use UpsweptBead\Core\Stage\Intake\StartingPoint;
use UpsweptBead\Core\Stage\Intake\Tuning;

/**
 * What the survey of a job says by itself, before anything is routed: where to start from, and what can hardly be
 * right.
 */
final readonly class SurveyReport
{
    /**
     * @param  array<string, Figure|Choice>  $tuning  empty without the engine's figures
     * @param  array<string, Figure|Choice>  $intake  of what was asked when the job came in, or the metal alone
     * @param  list<Notice>  $notices
     */
    private function __construct(public array $tuning, public array $intake, public array $notices) {}

    public static function of(Job $job, Shop $shop, Surveyed $surveyed): self
    {
        $start = self::isAsked($job) ? StartingPoint::of($job, $shop) : null;
        $metalC = $job->engine?->metalC;

        $intake = match (true) {
            $start !== null => $start->figures,
            $metalC !== null => ['metal' => Heat::metal($job, new IntakeSpec, $metalC)],
            default => [],
        };

        return new self(Tuning::of($job, $shop), $intake, [
            ...$start === null ? [] : IntakeChecks::notices($start, $shop),
            ...MeasuredChecks::notices($surveyed),
            ...MetalChecks::notices($job, $shop),
            ...SurveyChecks::notices($job, $shop),
            ...EndChecks::notices($job, $shop),
        ]);
    }

    /** Whether anything was answered at the intake, or overruled there. */
    private static function isAsked(Job $job): bool
    {
        foreach ($job->overrides->all as $one) {
            if (str_starts_with($one->figure, 'intake.')) {
                return true;
            }
        }

        return $job->intake !== null;
    }
}
