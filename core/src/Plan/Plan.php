<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan;

use UpsweptBead\Core\Bench\BenchStep;
use UpsweptBead\Core\Cut\CutPlan;
use UpsweptBead\Core\Fit\FitPlan;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Joint\JointList;
use UpsweptBead\Core\Layout\Layout;
use UpsweptBead\Core\Reason\Notice;
use UpsweptBead\Core\Reason\Severity;
use UpsweptBead\Core\Schedule\Schedule;
use UpsweptBead\Core\Survey\SurveyReport;
use UpsweptBead\Core\Weld\WeldPlan;

/** Everything that follows from a job in a shop, stage by stage. */
final readonly class Plan
{
    public Job $job;

    public Layout $layout;

    public CutPlan $cut;

    public JointList $joints;

    /** @param  list<BenchStep>  $steps */
    public function __construct(
        public SurveyReport $survey,
        public Sketch $sketch,
        public FitPlan $fit,
        public WeldPlan $weld,
        public Schedule $schedule,
        public array $steps,
    ) {
        $this->job = $sketch->job;
        $this->layout = $sketch->layout;
        $this->cut = $sketch->cut;
        $this->joints = $sketch->joints;
    }

    /** @return list<Notice> of all stages, in their order */
    public function notices(): array
    {
        return [...$this->survey->notices, ...$this->sketch->notices(), ...$this->fit->notices, ...$this->weld->notices];
    }

    /** @return list<Notice> what stops a release */
    public function problems(): array
    {
        return array_values(array_filter(
            $this->notices(),
            static fn (Notice $notice): bool => $notice->severity === Severity::Problem,
        ));
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
}
