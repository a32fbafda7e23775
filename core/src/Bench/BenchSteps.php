<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

use UpsweptBead\Core\Cut\CutPlan;
use UpsweptBead\Core\Fit\FitPlan;
use UpsweptBead\Core\Fit\FitStep;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Joint\JointList;
use UpsweptBead\Core\Joint\JointType;
use UpsweptBead\Core\Schedule\Phase;
use UpsweptBead\Core\Schedule\Schedule;
use UpsweptBead\Core\Schedule\Slot;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Weld\WeldPlan;

/**
 * The last stage: the whole job laid out as one line of bench steps. All pieces are cut, fittings welded; run by run
 * is tacked and tried as they go in, then all together; each is tacked all round and welded on the bench; the runs are
 * fitted together again and tied to their parts; each is inspected.
 */
final readonly class BenchSteps
{
    private FitSteps $fitting;

    private WeldSteps $welding;

    private function __construct(
        private CutPlan $cut,
        private JointList $joints,
        private FitPlan $fit,
        private Schedule $schedule,
        WeldPlan $weld,
        Job $job,
        Shop $shop,
    ) {
        $this->fitting = new FitSteps($cut, $joints, $weld, $job);
        $this->welding = new WeldSteps($joints, $weld, $job, $shop->rules);
    }

    /** @return list<BenchStep> */
    public static function of(
        Job $job,
        CutPlan $cut,
        JointList $joints,
        FitPlan $fit,
        WeldPlan $weld,
        Schedule $schedule,
        Shop $shop,
    ): array {
        return (new self($cut, $joints, $fit, $schedule, $weld, $job, $shop))->steps();
    }

    /** @return list<BenchStep> */
    private function steps(): array
    {
        if ($this->fit->letters === []) {
            return [];
        }
        $isSet = count($this->fit->letters) > 1;

        return [
            ...$this->prepared(),
            ...$this->welded(Phase::Open),
            ...$this->welding->cooled($this->openStillHot()),
            ...$this->tried(),
            ...($isSet ? [$this->fitting->trialTogether($this->fit->letters)] : []),
            ...array_map($this->fitting->fullTack(...), $this->fit->letters),
            ...$this->welded(Phase::Alone, Phase::Bench),
            ...($isSet ? [$this->fitting->refit($this->fit->letters)] : []),
            ...$this->welded(Phase::Together),
            ...$this->welding->cooled(array_diff_key($this->schedule->last, $this->openStillHot())),
            ...array_map($this->fitting->inspect(...), $this->fit->letters),
        ];
    }

    /** @return list<BenchStep> */
    private function prepared(): array
    {
        $steps = [];
        foreach ($this->fit->letters as $letter) {
            array_push($steps, ...array_map($this->fitting->prepare(...), $this->cut->piecesOf($letter)));
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
        foreach ($this->schedule->slots as $slot) {
            if ($slot->phase === Phase::Open) {
                $open[$slot->joint->id] = true;
            } else {
                $later += $slot->checks;
            }
        }

        return array_intersect_key($later + $this->schedule->last, $open);
    }

    /** @return list<BenchStep> every run tacked from its datum outwards and tried in its place */
    private function tried(): array
    {
        $bungs = array_map(
            static fn (Joint $joint): string => $joint->id,
            array_filter($this->joints->joints, static fn (Joint $joint): bool => $joint->type === JointType::Bung),
        );
        $steps = [];
        foreach ($this->fit->letters as $letter) {
            $moves = array_filter(
                $this->fit->steps,
                static fn (FitStep $step): bool => $step->run === $letter && ! in_array($step->jointId, $bungs, true),
            );
            array_push($steps, ...array_map($this->fitting->tack(...), array_values($moves)));
            $steps[] = $this->fitting->trial($letter, count($this->fit->letters) > 1);
        }

        return $steps;
    }

    /** @return list<BenchStep> what is welded in some phases, with what is measured before each */
    private function welded(Phase ...$phases): array
    {
        $slots = array_values(
            array_filter(
                $this->schedule->slots,
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
