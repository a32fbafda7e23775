<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Reason\Severity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Schedule\Schedule;
use UpsweptBead\Core\Stage\Survey\BoreFit;
use UpsweptBead\Core\Stage\Survey\SurveyReport;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

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
        return [
            ...$this->survey->notices,
            ...$this->sketch->notices(),
            ...$this->fit->notices,
            ...$this->weld->notices,
        ];
    }

    /** @return list<Notice> what stops a release */
    public function problems(): array
    {
        return array_values(array_filter(
            $this->notices(),
            static fn (Notice $notice): bool => $notice->severity === Severity::Problem,
        ));
    }

    /** A proposed value by its key: an allowance of a piece, a setting of a joint, what a survey leads to. */
    public function figure(string $key): Figure|Choice|null
    {
        foreach ($this->figures() as $figure) {
            if ($figure->key === $key) {
                return $figure;
            }
        }

        return null;
    }

    /** @return list<Overruled> what a person or a procedure put in place of a proposal, in the order of the stages */
    public function overruled(): array
    {
        $overruled = [];
        foreach ($this->figures() as $of => $figure) {
            if ($figure->override !== null) {
                $overruled[] = new Overruled($of, $figure, $figure->override);
            }
        }

        return $overruled;
    }

    /** @return iterable<string, Figure|Choice> by what they are of: a run, a piece, a joint, a part; '' for the job */
    private function figures(): iterable
    {
        foreach ([...array_values($this->survey->tuning), ...array_values($this->survey->intake)] as $figure) {
            yield '' => $figure;
        }
        foreach ($this->job->runs as $spec) {
            foreach (BoreFit::figures($spec, $this->layout->tubes[$spec->letter] ?? null) as $figure) {
                yield $spec->letter => $figure;
            }
        }
        foreach ($this->layout->placement->collectors->all as $collector) {
            foreach ($collector->sizes->figures() as $figure) {
                yield $collector->build->letter => $figure;
            }
        }
        foreach ($this->layout->placement->flanges as $flange) {
            foreach ([$flange->fit, ...$flange->figures] as $figure) {
                yield $flange->name => $figure;
            }
        }
        foreach ([...$this->cut->pieces, ...$this->cut->ofCollectors] as $pieces) {
            foreach ($pieces as $piece) {
                foreach ([$piece->allowances->trim, $piece->allowances->shrink, $piece->allowances->slip] as $figure) {
                    yield $piece->mark => $figure;
                }
            }
        }
        yield '' => $this->fit->growth->temperature;
        foreach ($this->weld->practices as $choice) {
            yield '' => $choice;
        }
        foreach ($this->weld->sheets as $sheet) {
            foreach ([...$sheet->choices, ...$sheet->settings, ...$sheet->purge->figures] as $figure) {
                yield $sheet->joint->id => $figure;
            }
        }
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
