<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

use UpsweptBead\Core\Branching\BuiltCollector;
use UpsweptBead\Core\Fit\FitStep;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Joint\JointType;
use UpsweptBead\Core\Schedule\Phase;
use UpsweptBead\Core\Schedule\Slot;
use UpsweptBead\Core\Shop\ShopRules;

/**
 * The last stage: the whole job laid out as one line of bench steps. Collectors are made whole; all pieces are cut, fittings welded; run by run
 * is tacked and tried as they go in, then all together; each is tacked all round and welded on the bench; the runs are
 * fitted together again and tied to their parts; each is inspected.
 */
final readonly class BenchSteps
{
    private FitSteps $fitting;

    private WeldSteps $welding;

    private CollectorSteps $collecting;

    private function __construct(private WorkPlan $work, Job $job, ShopRules $rules)
    {
        $this->fitting = new FitSteps($work->cut, $work->joints, $work->weld, $job);
        $this->welding = new WeldSteps($work->joints, $work->weld, $job, $rules);
        $this->collecting = new CollectorSteps($work->joints, $job->units);
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
            return [...$this->collected(), ...$this->inspected()];
        }
        $isSet = count($this->work->fit->letters) > 1;

        return [
            ...$this->collected(),
            ...$this->prepared(),
            ...$this->welded(Phase::Open),
            ...$this->welding->cooled($this->stillHot(Phase::Open)),
            ...$this->tried(),
            ...($isSet ? [$this->fitting->trialTogether($this->work->fit->letters)] : []),
            ...array_map($this->fitting->fullTack(...), $this->work->fit->letters),
            ...$this->welded(Phase::Alone, Phase::Bench),
            ...($isSet ? [$this->fitting->refit($this->work->fit->letters)] : []),
            ...$this->welded(Phase::Together),
            ...$this->welding->cooled(array_diff_key($this->work->schedule->last, $this->settledBefore(null))),
            ...$this->inspected(),
        ];
    }

    /** @return list<BenchStep> every collector made whole, before any run goes on */
    private function collected(): array
    {
        $collectors = $this->work->fit->collectors;
        $made = array_values(array_filter(
            $collectors,
            static fn (BuiltCollector $one): bool => $one->build->make->isMade(),
        ));
        $steps = array_merge(...array_map($this->collecting->incoming(...), $collectors));
        foreach ($made as $one) {
            $pieces = $this->work->cut->piecesOf($one->build->letter);
            array_push($steps, ...array_map($this->fitting->prepare(...), $pieces));
        }
        foreach ($made as $one) {
            array_push($steps, ...$this->collecting->tacks($one, $this->work->fit->steps));
        }

        return [
            ...$steps,
            ...$this->welded(Phase::Merge),
            ...$this->welding->cooled($this->stillHot(Phase::Merge)),
            ...array_map($this->collecting->outlet(...), $made),
            ...$this->welded(Phase::Outlet),
            ...$this->welding->cooled($this->stillHot(Phase::Outlet)),
            ...array_map($this->collecting->trued(...), $made),
        ];
    }

    /** @return list<BenchStep> */
    private function inspected(): array
    {
        return [
            ...array_map($this->collecting->inspect(...), $this->work->fit->collectors),
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
     * What was welded in a phase before the runs are tacked and still cools when all of that is done: it is measured
     * before anybody goes on.
     *
     * @return array<string, float> seconds by joint
     */
    private function stillHot(Phase $phase): array
    {
        $welded = $later = [];
        foreach ($this->work->schedule->slots as $slot) {
            if ($slot->phase === $phase) {
                $welded[$slot->joint->id] = true;
            } else {
                $later += $slot->checks;
            }
        }

        return array_intersect_key($later + $this->work->schedule->last, $welded);
    }

    /** @return array<string, float> what a phase finds measured already, by joint */
    private function settledBefore(?Phase $phase): array
    {
        $settled = [];
        foreach ([Phase::Merge, Phase::Outlet, Phase::Open] as $earlier) {
            $settled += $earlier === $phase ? [] : $this->stillHot($earlier);
        }

        return $settled;
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
            $checks = array_diff_key($slot->checks, $this->settledBefore($slot->phase));
            array_push(
                $steps,
                ...$this->welding->cooled($checks),
                ...$this->welding->weld($slot, $slots[$i + 1] ?? null),
            );
        }

        return $steps;
    }
}
