<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule;

use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

/** A job that is to be welded beside others. */
final readonly class JobAtBench
{
    public function __construct(
        public string $number,
        public FitPlan $fit,
        public WeldPlan $weld,
        public Schedule $schedule,
    ) {}
}
