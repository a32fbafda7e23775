<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\CoolPractice;
use UpsweptBead\Core\Shop\Practice\RootPractice;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Solve\Reach\Arcs;
use UpsweptBead\Core\Stage\Bench\Inspection\Inspection;
use UpsweptBead\Core\Stage\Device\Rig;
use UpsweptBead\Core\Stage\Fit\Access\JointAccess;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Schedule\Schedule;
use UpsweptBead\Core\Stage\Schedule\Slot;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Stage\Weld\Backing;
use UpsweptBead\Core\Stage\Weld\JointSheet;
use UpsweptBead\Core\Stage\Weld\JointTimes;
use UpsweptBead\Core\Stage\Weld\Preheat;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

/** Bench steps of purging, welding and letting cool. */
final readonly class WeldSteps
{
    /** How the seam inside a piece of a donut is welded; common practice. */
    private const INSIDE = [
        'A donut is welded on the outside only. From both open ends inwards, the outer edge of the bend first, then the inner one.',
        'Fused, or nearly dry: little heat, no colour through. The torch’s own gas fills the bore.',
    ];

    /** Seams at one flange are no further apart than this (mm). */
    private const SAME_MM = 1.0;

    public function __construct(
        private JointList $joints,
        private Schedule $schedule,
        private WeldPlan $weld,
        private Job $job,
        private ShopRules $rules,
    ) {}

    /**
     * @param  ?Slot  $next  what is welded after it
     * @param  list<string>  $taped  joints of what is filled that are welded later
     * @return list<BenchStep> purge, weld
     */
    public function weld(Slot $slot, ?Slot $next, array $taped): array
    {
        $joint = $slot->joint;
        $sheet = $this->weld->sheets[$joint->id];
        [$purge, $set] = [$sheet->purge, $sheet->settings];

        return [
            ...$this->bolted($sheet),
            ...$sheet->isFilled() ? [new BenchStep(
                StepKind::Purge,
                $joint->id,
                "Purge for $joint->id",
                [...$joint->type === JointType::Bung ? $this->drill($joint) : [], ...$this->feed($sheet, $taped)],
                $purge->value('fill'),
                [Measured::limited('oxygen', 'Oxygen at the vent', Quantity::Oxygen, $purge->value('target'))],
                rig: Rig::purge($purge->value('volume'), $purge->value('flow'), $purge->pose->trappedMl / 1000),
            )] : [],
            new BenchStep(
                StepKind::Weld,
                $joint->id,
                $joint->type === JointType::DonutSeam
                    ? "Weld $joint->id: the seam inside {$joint->between->name}"
                    : "Weld $joint->id: {$joint->between->name} to {$joint->and->name}",
                [
                    $this->why($slot),
                    ...Preheat::lines($joint),
                    ...self::backing($sheet) === Backing::Free ? [] : [
                        'Bolted down; it stays so until it is cold.',
                    ],
                    ...$set['passes']->value > 1.0
                        ? [sprintf(
                            'Root at %s; then %d more at %s, cooled and brushed to bright metal before each.',
                            $this->show(Quantity::Current, ($set['rootAmps'] ?? $set['amps'])->value),
                            $set['passes']->value - 1,
                            $this->show(Quantity::Current, $set['amps']->value),
                        )]
                        : [],
                    ...$joint->type === JointType::DonutSeam ? self::INSIDE : [],
                    ...! $sheet->isFilled() ? $this->unfilled($sheet) : [
                        $purge->closing($this->job->units),
                        ...$purge->pose->isEntered() || ! $joint->type->isPeeled() ? [] : [
                            "Peel the tape of $joint->id a quarter at a time, where the torch goes.",
                        ],
                        "Purge on until below {$this->show(Quantity::Temperature, $this->rules->value('purge.keep_until'))}.",
                    ],
                    ...$joint->type === JointType::DonutSeam ? [] : [
                        'Opposite quarters in turn, runs of about an inch, hold the post-flow.',
                    ],
                    ...$next !== null && ! isset($next->checks()[$joint->id])
                        ? ["While it cools: {$next->joint->id}."]
                        : [],
                ],
                $sheet->times->weldS,
                [
                    new Measure('amps', 'Amps used', Quantity::Current, $set['amps']->value),
                    new Measure('flow', 'Torch gas used', Quantity::Flow, $set['flow']->value),
                    new Measure(
                        'seconds',
                        'Time at the joint',
                        Quantity::Duration,
                        $sheet->times->weldS,
                        rule: 'weld.pace',
                    ),
                ],
                coolsS: $this->coolsS($joint->id, true),
                rig: Rig::arc(
                    $set['amps']->value,
                    $set['arc']->value / max(1.0, $set['stops']->value),
                    $set['postflow']->value,
                    (int) $set['stops']->value,
                    $set['flow']->value,
                ),
            ),
        ];
    }

    /** @return list<BenchStep> a flange bolted to its block; none where it is there from the seal inside, or stays free */
    private function bolted(JointSheet $sheet): array
    {
        [$joint, $backing] = [$sheet->joint, self::backing($sheet)];
        if ($backing === Backing::Free) {
            return [];
        }
        foreach ($this->joints->ofRun($joint->run) as $one) {
            $isOnSame = $one->type === JointType::FlangeSeal && $joint->type === JointType::FlangeFillet
                && abs($one->seam->stationMm - $joint->seam->stationMm) < self::SAME_MM;
            if ($isOnSame && self::backing($this->weld->sheets[$one->id]) === $backing) {
                return [];
            }
        }
        $flange = $joint->seam->stationMm <= 0.0 ? $joint->between->name : $joint->and->name;

        return [new BenchStep(
            StepKind::Bolt,
            $joint->id,
            "Bolt $flange to {$backing->withArticle()}",
            [
                "{$backing->size($this->rules, $this->job->units)} or more, flat and clean, drilled for the purge; every bolt, plain steel, drawn up evenly.",
                'It stays bolted until it is cold. Bolts that are tighter then show how much it has moved.',
                'Nothing plated near the heat; no water on it.',
            ],
            null,
            [],
        )];
    }

    private static function backing(JointSheet $sheet): Backing
    {
        return Backing::tryFrom($sheet->choices['backing']->value ?? '') ?? Backing::Free;
    }

    /** On a tube that is there already nothing is closed in later, and nothing else waits for it. Common practice. */
    private function why(Slot $slot): string
    {
        $isThere = $this->job->isThere($slot->joint->run);

        return match (true) {
            $isThere && $slot->joint->type === JointType::Bung => 'Its sensor was tried there first: room for its body, its lead and a spanner.',
            $isThere && $slot->joint->type->isButt() => 'Off the vehicle if it comes off; else from below with a mirror, a quarter at a time.',
            default => $slot->why,
        };
    }

    /** A joint is looked at as soon as it may be touched, while its inside can still be seen. */
    public function inspect(string $id): BenchStep
    {
        $joint = $this->joints->find($id) ?? throw new \LogicException("There is no joint $id.");
        $sheet = $this->weld->sheets[$id];
        $target = $sheet->purge->value('target');

        return new BenchStep(
            StepKind::Inspect,
            $id,
            "Inspect $id: {$joint->between->name} to {$joint->and->name}",
            [
                'Colour outside, then inside with a mirror or a borescope, all round.',
                'Right through everywhere; no sugar, pores or cracks; edges not eaten away, the bead not hollow.',
                ...$sheet->isFilled()
                    ? ["Argon was to hold {$this->show(Quantity::Oxygen, $target)} or less."]
                    : [],
            ],
            null,
            [],
            inspection: new Inspection($target, $this->rules->value('purge.stop')),
        );
    }

    /** The side of a seam that the next run closes in, welded before that goes in. */
    public function side(Task $task, ?JointAccess $access): BenchStep
    {
        $joint = $task->joint ?? throw new \LogicException("$task->id welds no joint.");
        [$sheet, $arcs] = [$this->weld->sheets[$joint->id], $access?->sideFirst() ?? []];
        $places = array_map(static fn (array $arc): string => sprintf(
            '%.0f° to %.0f°',
            $arc[0],
            $arc[1] > 360.0 ? $arc[1] - 360 : $arc[1],
        ), $arcs);
        $set = $sheet->settings;

        return new BenchStep(
            $task->kind,
            $joint->id,
            $task->title,
            [
                $task->why,
                sprintf('From %s, counted from the index mark.', implode(', and from ', $places)),
                ...$sheet->isFilled() ? ['Purge it as for the rest of it:', ...$this->feed($sheet, [])] : [],
                'Stop a few millimetres short of both ends and taper them, so that the rest ties in.',
                'Let it cool before the next run goes in, and check the run against its marks again.',
            ],
            $set['arc']->value * Arcs::sum($arcs) / 360,
            [
                new Measure('amps', 'Amps used', Quantity::Current, $set['amps']->value),
                new Measure('flow', 'Torch gas used', Quantity::Flow, $set['flow']->value),
            ],
        );
    }

    /** @return list<string> how a root is shielded that no argon is let in to */
    private function unfilled(JointSheet $sheet): array
    {
        $root = $sheet->root;
        $why = $root->choice->override->why ?? '';

        return match (true) {
            ! $sheet->joint->isPurged() => [],
            $root->practice === RootPractice::Flux => [
                'No argon inside: the flux on the root shields it.',
                JointSheet::FLUX,
            ],
            default => ['△ No shield on the root'.($why === '' ? '.' : ": $why.")],
        };
    }

    /** Down to one temperature after the other, as the plan has it. */
    private function cooling(JointTimes $times): Rig
    {
        $practice = $this->weld->cool;

        return Rig::cooling([
            [$times->keepS, $this->rules->value('purge.keep_until')],
            ...$practice === CoolPractice::Touch ? [] : [[$times->coolS, $this->rules->value($practice->rule())]],
            [$times->touchS, $this->rules->value('cool.touch')],
        ], $this->rules->value('cool.ambient'));
    }

    /**
     * Joints that are measured before the next is begun.
     *
     * @param  array<string, float>  $checks  seconds that each still cools, by joint
     * @param  bool  $isHandled  whether hands go there next, and not only a torch
     * @return list<BenchStep>
     */
    public function cooled(array $checks, bool $isHandled): array
    {
        $limit = $this->rules->value($isHandled ? 'cool.touch' : $this->weld->cool->rule());
        // Below the code limit a joint is measured once more before a hand goes there.
        $isForHand = $isHandled || $this->weld->cool === CoolPractice::Touch;
        $kind = $isForHand ? StepKind::Cool : StepKind::Warm;

        return array_map(
            fn (string $id, float $seconds): BenchStep => new BenchStep(
                $kind,
                $id,
                "Let $id cool",
                [
                    $isForHand
                        ? "Measure it with a thermometer or a crayon before a hand touches it: go on below {$this->show(Quantity::Temperature, $limit)}."
                        : "Measure it with a thermometer or a crayon: weld beside it below {$this->show(Quantity::Temperature, $limit)}. It still burns: no hand on it.",
                    'Check the fit again before the next joint is tacked or welded.',
                ],
                $seconds > 0.0 ? $seconds : null,
                [
                    Measured::limited('temperature', 'Temperature going on', Quantity::Temperature, $limit),
                    // Once it is cold, if anybody cares to.
                    ...$isForHand ? Measured::shrink($this->joints->find($id), $this->rules) : [],
                ],
                coolsS: $this->coolsS($id, $isForHand),
                rig: $this->cooling($this->weld->sheets[$id]->times),
            ),
            array_map(strval(...), array_keys($checks)),
            $checks,
        );
    }

    /** How long a joint cools, with what is welded beside it meanwhile. */
    private function coolsS(string $id, bool $isForHand): float
    {
        $times = $this->weld->sheets[$id]->times;
        $aloneS = $isForHand ? $times->touchS : $times->coolS;

        return max($aloneS, $this->schedule->coolS($id, $isForHand) ?? 0.0);
    }

    /**
     * @param  list<string>  $taped
     * @return list<string>
     */
    private function feed(JointSheet $sheet, array $taped): array
    {
        $purge = $sheet->purge;
        $taped = [...$sheet->joint->type->isPeeled() ? [$sheet->joint->id] : [], ...$taped];

        return [
            ...$purge->since === '' ? [] : ["It has stayed closed since $purge->since: only rinsed out."],
            ...$purge->pose->lines(fn (float $mm): string => $this->show(Quantity::Length, $mm), $purge->value('vent')),
            ...$taped === [] ? [] : ['Tape '.implode(', ', $taped).'.'],
            "{$this->show(Quantity::Flow, $purge->value('flow'))} until the meter reads below "
                ."{$this->show(Quantity::Oxygen, $purge->value('target'))}.",
        ];
    }

    /** @return list<string> */
    private function drill(Joint $joint): array
    {
        foreach ($this->joints->fittings as $placed) {
            if ($placed->jointId === $joint->id) {
                return [
                    sprintf(
                        'Mark %s: %s from its upstream end, %s %s with the flow from the inside of the bend (%s round the outside).',
                        $placed->pieceMark,
                        $this->show(Quantity::Length, $placed->fromPieceStartMm),
                        $this->show(Quantity::Angle, abs($placed->fromThroat->turnDeg)),
                        $placed->fromThroat->way(),
                        $this->show(Quantity::Length, abs($placed->fromThroat->aroundMm)),
                    ),
                    sprintf(
                        'Pilot drill, step drill to %g mm, dress. Sacrificial plug in the thread.',
                        $placed->fitting->kind->holeMm(),
                    ),
                ];
            }
        }

        return [];
    }

    private function show(Quantity $quantity, float $value): string
    {
        return $quantity->read($value, $this->job->units);
    }
}
