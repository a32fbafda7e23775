<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;

/**
 * What the survey of a job says by itself, before anything is routed: where to start from, and what can hardly be
 * right.
 */
final readonly class SurveyReport
{
    /**
     * @param  array<string, Figure|Choice>  $tuning  empty without the engine's figures
     * @param  list<Notice>  $notices
     */
    private function __construct(public array $tuning, public array $notices) {}

    public static function of(Job $job, Shop $shop, Surveyed $surveyed): self
    {
        return new self(Tuning::of($job, $shop), [
            ...MeasuredChecks::notices($surveyed),
            ...MetalChecks::notices($job, $shop),
            ...SurveyChecks::notices($job, $shop),
            ...EndChecks::notices($job, $shop),
        ]);
    }
}
