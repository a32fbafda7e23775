<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Base\Units\OClock;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\RootPractice;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Bench\Inspection\Rework;
use UpsweptBead\Core\Stage\Cut\CutMark;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\MarkKind;
use UpsweptBead\Core\Stage\Cut\OnTape;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Fit\TackPattern;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Stage\Weld\JointSheet;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

/** Bench steps of cutting, fitting, tacking and trying; and the last look. */
final readonly class FitSteps
{
    /** A far end more than this off (mm or °) at the trial fit is not gone on with in silence. */
    private const FAR_END_WITHIN = 2.0;

    /** Nobody turns a piece by less. */
    private const NO_TURN_DEG = 0.5;

    private OnTape $tape;

    public function __construct(
        private CutPlan $cut,
        private JointList $joints,
        private FitPlan $fit,
        private WeldPlan $weld,
        private Job $job,
        private ShopRules $rules,
    ) {
        $this->tape = $cut->onTape($job->units);
    }

    public function prepare(Piece $piece): BenchStep
    {
        $do = ["Cut $piece->mark from $piece->stockId: {$this->length($this->cutMm($piece))} along the centreline."];
        foreach ($piece->marks as $mark) {
            $do[] = $mark->label.match ($mark->kind) {
                MarkKind::OwnEnd, MarkKind::Opening => '.',
                MarkKind::Straight => ": {$this->length($mark->centreMm)}.",
                MarkKind::Bend => $this->alongEdges($mark),
            };
        }
        $long = ['upstream' => $piece->allowances->startMm, 'downstream' => $piece->allowances->endMm()];
        foreach ($long as $end => $mm) {
            if ($mm > 0.0) {
                $do[] = "Of it {$this->length($mm)} are extra at the $end end.";
            }
        }
        if ($piece->pie !== null) {
            [$wedge, $end] = [$piece->pie->wedge(), $piece->pie->end()];
            $do[] = sprintf(
                'Bend of %d wedges and two ends, every cut at %s to the square one, the stick turned half round between cuts.',
                $piece->pie->welds - 1,
                Quantity::Angle->read(rad2deg($piece->pie->mitre), $this->job->units),
            );
            $do[] = "Each wedge: long side {$this->length($wedge->outerMm)}, short side {$this->length($wedge->innerMm)}; ends from the tangent: {$this->length($end->outerMm)} and {$this->length($end->innerMm)}.";
        }
        if ($piece->startPrep->isToTemplate() || $piece->endPrep->isToTemplate()) {
            $do[] = 'Wrap the template round the end, its index line on the marked side, the arrow with the flow. Score the line, saw rough beside it, grind to it until no light passes the seam. Tube held in a vee, never by hand alone.';
        }
        $do[] = sprintf(
            'Ends: %s; %s. Deburr inside and out.',
            lcfirst($piece->startPrep->label()),
            lcfirst($piece->endPrep->label()),
        );
        $slipMm = $piece->allowances->slip->value;
        if ($slipMm > 0.0) {
            $do[] = "Scribe the depth line: the last {$this->length($slipMm)} of the finished piece go into the inlet.";
        }
        $do[] = 'Stainless-only brush, acetone, let dry. Mark the piece and the flow arrow.';

        return new BenchStep(
            StepKind::Prepare,
            $piece->mark,
            "Cut and prepare $piece->mark",
            $do,
            null,
            [new Measure(
                'length',
                'Length as cut',
                Quantity::Length,
                $this->cutMm($piece),
                within: $this->rules->value('cut.within'),
            )],
        );
    }

    /** As it is read off a tape; the pieces of a run together come out as planned. */
    private function cutMm(Piece $piece): float
    {
        return $this->tape->mm[$piece->mark] ?? $piece->cutLengthMm();
    }

    /** Where outer, centre and inner edge are the same length it is said once. */
    private function alongEdges(CutMark $mark): string
    {
        [$outer, $centre, $inner] = array_map(
            $this->length(...),
            [$mark->outerMm, $mark->centreMm, $mark->innerMm],
        );

        return $outer === $inner
            ? ": $centre all round."
            : ": outer edge $outer, centre $centre, inner edge $inner.";
    }

    public function tack(Task $step): BenchStep
    {
        $joint = $step->joint ?? throw new \LogicException("$step->id fits no joint.");
        if ($joint->type === JointType::Crack) {
            return $this->grindOut($step, $joint);
        }
        if ($joint->type->isButt() && $this->job->isThere($joint->run)) {
            return Rework::cutOut(StepKind::Tack, $joint->id, Measured::fit($joint, $this->rules));
        }
        if ($joint->type === JointType::Tab) {
            return new BenchStep(StepKind::Tack, $joint->id, $step->title, [
                $step->why,
                'No light under its foot: ground to the curve of the tube before it is tacked.',
                'Mind what hangs above and the wiring beside it; cover glass and paint.',
            ], null, Measured::fit($joint, $this->rules));
        }
        $do = [
            "Fit $step->brings to $step->to. $step->why",
            "Index mark across the joint: {$joint->seam->index->text()}.",
        ];
        $turn = $joint->type->isAtPart() && $joint->seam->stationMm > 0.0 ? null : $this->turnInto($step);
        if ($turn !== null) {
            $do[] = $turn;
        }
        if (! $joint->type->isWelded()) {
            $do[] = 'No tack: a strap or the clamp holds it.';
            if ($joint->type === JointType::Flare) {
                return new BenchStep(StepKind::Tack, $joint->id, $step->title, $do, null, []);
            }

            return new BenchStep(
                StepKind::Tack,
                $joint->id,
                "Slide $joint->id together",
                $do,
                null,
                [new Measure(
                    'depth',
                    'Depth it goes in',
                    Quantity::Length,
                    $this->slipMm($step),
                    within: $this->rules->value('fit.depth_within'),
                )],
            );
        }
        if (($this->weld->sheets[$joint->id]->root->practice ?? null) === RootPractice::Flux) {
            $do[] = 'Brush flux paste, mixed with alcohol, on the last 20–25 mm inside both edges, and let it dry. '.JointSheet::FLUX;
        }
        $tacks = $this->tacks($joint);
        $do[] = rtrim(sprintf(
            'Two small tacks on one side, the mark at twelve: at %s. It holds, and still hinges. %s',
            OClock::list($tacks->trialDeg),
            $tacks->trialWhy,
        ));

        return new BenchStep(
            StepKind::Tack,
            $joint->id,
            "Tack $joint->id for the trial fit",
            $do,
            null,
            Measured::fit($joint, $this->rules),
        );
    }

    /** Common practice. */
    private function grindOut(Task $step, Joint $joint): BenchStep
    {
        return new BenchStep(StepKind::Tack, $joint->id, $step->title, [
            $step->why,
            'Brush to bright metal; dye shows how far it runs. A hole of 2–3 mm just past each end stops it.',
            'Ground to a vee through the wall, no wider than it must be; inside clean too, as far as it is reached.',
            'More than half round, or a sugared root below it: cut the seam out instead of welding over it.',
            Rework::DISC,
        ], null, []);
    }

    /** A loose ring, nut or clamp goes on before an end is closed. */
    public function put(Task $task): BenchStep
    {
        return self::plain($task, 'Before the end is closed or formed: it does not go on afterwards.');
    }

    public function form(Task $task): BenchStep
    {
        return self::plain($task, 'Deburr first: a nick in the edge runs into a split. Hands clear of the press.');
    }

    public function polish(Task $task): BenchStep
    {
        return self::plain(
            $task,
            'Coarse compound, then fine. Beads that are still to be welded stay as they are.',
            'Respirator and eye protection; loose clothing and gloves stay off a spinning wheel.',
        );
    }

    private static function plain(Task $task, string ...$lines): BenchStep
    {
        return new BenchStep(
            $task->kind,
            $task->subject,
            $task->title,
            [$task->why, ...array_values($lines)],
            null,
            [],
        );
    }

    /** @param  bool  $isInSet  whether other runs come to stand beside it; then they are tried together later */
    public function trial(string $letter, bool $isInSet): BenchStep
    {
        $do = $isInSet
            ? ['Past the runs that are there already, in its place.', 'Trim the closing end to its line.']
            : ['Trim the closing end to its line. Then strip.'];

        return new BenchStep(
            StepKind::Trial,
            $letter, "Trial fit run $letter", $do, null, [
                new Measure('gap', 'Far-end gap', Quantity::Length, 0.0, self::FAR_END_WITHIN, true),
                new Measure('angle', 'Far-end angle', Quantity::Angle, 0.0, self::FAR_END_WITHIN, true),
            ], $this->fit->trialOf($isInSet ? $letter : null));
    }

    /** @param  list<string>  $letters */
    public function trialTogether(array $letters): BenchStep
    {
        return new BenchStep(
            StepKind::Trial,
            Task::ALL,
            'Trial fit runs '.implode(', ', $letters).' together',
            [
                'All of them prove themselves together before any is finished.',
                'Index marks across every joint, then cut loose and strip.',
            ],
            null,
            [new Measure('clearance', 'Least clearance found', Quantity::Length, null)],
            $this->fit->trialOf(null),
        );
    }

    public function fullTack(string $letter): BenchStep
    {
        $joints = $this->joints->ofRun($letter);
        $butts = array_values(
            array_filter($joints, static fn (Joint $joint): bool => $joint->type->isButt()),
        );
        $tacks = $this->tacks($butts[0] ?? $joints[0]);

        return new BenchStep(
            StepKind::FullTack,
            $letter, "Tack run $letter all round", [
                sprintf(
                    '%d tacks a joint, opposite pairs in turn: %s.',
                    count($tacks->fullDeg),
                    OClock::list($tacks->fullDeg),
                ),
                "Each about {$this->length($tacks->tackMm)} long, fused without wire on a tight joint.",
                'The last tacks go on the side the tube should move towards.',
                ...$this->shielded($joints),
            ], null, []);
    }

    /**
     * @param  list<Joint>  $joints
     * @return list<string> which tacks keep the root they have
     */
    private function shielded(array $joints): array
    {
        $lines = [];
        foreach ($joints as $joint) {
            $degrees = $this->tacks($joint)->shieldedDeg;
            if ($degrees !== []) {
                $places = OClock::list($degrees);
                $lines[] = "$joint->id: the weld does not melt the tacks at $places again. Argon behind them while they are made.";
            }
        }

        return $lines;
    }

    /** @param  list<string>  $letters  as they go in */
    public function refit(Task $task, array $letters): BenchStep
    {
        return new BenchStep($task->kind, $task->subject, $task->title, [
            'Check every run against its mark: joints move in welding, even in jigs.',
            'In this order: '.implode(', ', $letters).'. Flange bolted to a fixture thicker than itself.',
            'Tack to flange and collector, opposite pairs in turn.',
        ], null, []);
    }

    /** One run that goes back where a side of its seam is welded before the next does. */
    public function goesBack(Task $task): BenchStep
    {
        return new BenchStep($task->kind, $task->subject, $task->title, [
            $task->why,
            'Check it against its marks: joints move in welding, even in jigs.',
        ], null, []);
    }

    public function inspect(string $letter): BenchStep
    {
        $isThere = $this->job->isThere($letter);

        return new BenchStep(StepKind::LeakTest, $letter, "Inspect run $letter", [
            'Every joint has been looked at by itself.',
            'Leak test: 5–10 psi air and soapy water.',
            ...$isThere ? [] : ['Trial fit once more.'],
        ], null, [Measured::leakTest()]);
    }

    private function turnInto(Task $step): ?string
    {
        foreach ($this->cut->piecesOf($step->run) as $piece) {
            $isTurned = $piece->clocking !== null && abs($piece->clocking->turnDeg) >= self::NO_TURN_DEG;
            if ($piece->mark === $step->brings && $piece->clocking !== null && ! $isTurned) {
                return sprintf(
                    'Do not turn %s: its marks stand in line with %s.',
                    $piece->mark,
                    $piece->turnedFrom(),
                );
            }
            if ($piece->mark === $step->brings && $piece->clocking !== null) {
                return sprintf(
                    'Turn %s by %s %s looking with the flow: %s round the outside from %s.',
                    $piece->mark,
                    Quantity::Angle->read(abs($piece->clocking->turnDeg), $this->job->units),
                    $piece->clocking->way(),
                    $this->length(abs($piece->clocking->aroundMm)),
                    $piece->turnedFrom(),
                );
            }
        }

        return null;
    }

    private function slipMm(Task $step): float
    {
        foreach ($this->cut->piecesOf($step->run) as $piece) {
            if ($piece->mark === $step->brings) {
                return $piece->allowances->slip->value;
            }
        }

        return 0.0;
    }

    private function tacks(Joint $joint): TackPattern
    {
        return $this->weld->sheets[$joint->id]->tacks ?? TackPattern::of($joint);
    }

    private function length(float $mm): string
    {
        return Quantity::Length->read($mm, $this->job->units);
    }
}
