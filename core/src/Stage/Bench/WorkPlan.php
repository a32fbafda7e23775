<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Schedule\Schedule;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

/** What the bench works by: the stages before it, of one job. */
final readonly class WorkPlan
{
    public function __construct(
        public CutPlan $cut,
        public JointList $joints,
        public FitPlan $fit,
        public WeldPlan $weld,
        public Schedule $schedule,
    ) {}
}
