<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

use UpsweptBead\Core\Fit\FitStep;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Joint\JointType;
use UpsweptBead\Core\Schedule\Phase;
use UpsweptBead\Core\Schedule\Slot;
use UpsweptBead\Core\Shop\ShopRules;

/**
 * The last stage: the whole job laid out as one line of bench steps. All pieces are cut, fittings welded; run by run
 * is tacked and tried as they go in, then all together; each is tacked all round and welded on the bench; the runs are
 * fitted together again and tied to their parts; each is inspected.
 */
final readonly class BenchSteps
{
    private FitSteps $fitting;

    private WeldSteps $welding;

    private function __construct(private WorkPlan $work, Job $job, ShopRules $rules)
    {
        $this->fitting = new FitSteps($work->cut, $work->joints, $work->weld, $job);
        $this->welding = new WeldSteps($work->joints, $work->weld, $job, $rules);
    }

    /** @return list<BenchStep> */
    public static function of(WorkPlan $work, Job $job, ShopRules $rules): array
    {
        return (new self($work, $job, $rules))->steps();
    }

    /** @return list<BenchStep> */
    private function steps(): array
    {
        if ($this->work->fit->letters === []) {
            return [];
        }
        $isSet = count($this->work->fit->letters) > 1;

        return [
            ...$this->prepared(),
            ...$this->welded(Phase::Open),
            ...$this->welding->cooled($this->openStillHot()),
            ...$this->tried(),
            ...($isSet ? [$this->fitting->trialTogether($this->work->fit->letters)] : []),
            ...array_map($this->fitting->fullTack(...), $this->work->fit->letters),
            ...$this->welded(Phase::Alone, Phase::Bench),
            ...($isSet ? [$this->fitting->refit($this->work->fit->letters)] : []),
            ...$this->welded(Phase::Together),
            ...$this->welding->cooled(array_diff_key($this->work->schedule->last, $this->openStillHot())),
            ...array_map($this->fitting->inspect(...), $this->work->fit->letters),
        ];
    }

    /** @return list<BenchStep> */
    private function prepared(): array
    {
        $steps = [];
        foreach ($this->work->fit->letters as $letter) {
            array_push($steps, ...array_map($this->fitting->prepare(...), $this->work->cut->piecesOf($letter)));
        }

        return $steps;
    }

    /**
     * Fittings that still cool when all of them are welded: they are measured before anybody tacks their runs.
     *
     * @return array<string, float> seconds by joint
     */
    private function openStillHot(): array
    {
        $open = $later = [];
        foreach ($this->work->schedule->slots as $slot) {
            if ($slot->phase === Phase::Open) {
                $open[$slot->joint->id] = true;
            } else {
                $later += $slot->checks;
            }
        }

        return array_intersect_key($later + $this->work->schedule->last, $open);
    }

    /** @return list<BenchStep> every run tacked from its datum outwards and tried in its place */
    private function tried(): array
    {
        $bungs = array_map(
            static fn (Joint $joint): string => $joint->id,
            array_filter(
                $this->work->joints->joints,
                static fn (Joint $joint): bool => $joint->type === JointType::Bung,
            ),
        );
        $steps = [];
        foreach ($this->work->fit->letters as $letter) {
            $moves = array_filter(
                $this->work->fit->steps,
                static fn (FitStep $step): bool => $step->run === $letter && ! in_array($step->jointId, $bungs, true),
            );
            array_push($steps, ...array_map($this->fitting->tack(...), array_values($moves)));
            $steps[] = $this->fitting->trial($letter, count($this->work->fit->letters) > 1);
        }

        return $steps;
    }

    /** @return list<BenchStep> what is welded in some phases, with what is measured before each */
    private function welded(Phase ...$phases): array
    {
        $slots = array_values(
            array_filter(
                $this->work->schedule->slots,
                static fn (Slot $slot): bool => in_array($slot->phase, $phases, true),
            ),
        );
        $steps = [];
        foreach ($slots as $i => $slot) {
            $checks =
                $slot->phase === Phase::Open ? $slot->checks : array_diff_key($slot->checks, $this->openStillHot());
            array_push(
                $steps,
                ...$this->welding->cooled($checks),
                ...$this->welding->weld($slot, $slots[$i + 1] ?? null),
            );
        }

        return $steps;
    }
}
