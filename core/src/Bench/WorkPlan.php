<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

use UpsweptBead\Core\Cut\CutPlan;
use UpsweptBead\Core\Fit\FitPlan;
use UpsweptBead\Core\Joint\JointList;
use UpsweptBead\Core\Schedule\Schedule;
use UpsweptBead\Core\Weld\WeldPlan;

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
