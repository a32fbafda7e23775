<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule;

use UpsweptBead\Core\Fit\FitPlan;
use UpsweptBead\Core\Weld\WeldPlan;

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
