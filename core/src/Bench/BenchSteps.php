<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

use UpsweptBead\Core\Cut\Piece;
use UpsweptBead\Core\Fit\FitStep;
use UpsweptBead\Core\Plan\RunPlan;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Units\UnitSystem;
use UpsweptBead\Core\Weld\Joint;
use UpsweptBead\Core\Weld\JointSheet;
use UpsweptBead\Core\Weld\JointType;

/** Lays the whole plan out as one line of bench steps. */
final readonly class BenchSteps
{
    private function __construct(private RunPlan $run, private UnitSystem $units, private ShopRules $rules) {}

    /**
     * @param  list<RunPlan>  $runs
     * @return list<BenchStep>
     */
    public static function of(array $runs, UnitSystem $units, ShopRules $rules): array
    {
        return array_merge(...array_map(static fn (RunPlan $run): array => (new self($run, $units, $rules))->steps(), $runs));
    }

    /** @return list<BenchStep> */
    private function steps(): array
    {
        if ($this->run->sheets === []) {
            return [];
        }
        [$bungs, $seams] = [[], []];
        foreach ($this->run->sheets as $sheet) {
            $sheet->joint->type === JointType::Bung ? $bungs[] = $sheet : $seams[] = $sheet;
        }

        return [
            ...array_map($this->prepare(...), $this->run->pieces),
            ...array_merge(...array_map($this->weldOne(...), $bungs)),
            ...array_map($this->tack(...), array_values(array_filter($this->run->fitting, fn (FitStep $step): bool => $this->sheet($step->jointId)->joint->type !== JointType::Bung))),
            $this->trialFit(),
            $this->fullTack(),
            ...array_merge(...array_map($this->weldOne(...), $seams)),
            $this->inspect(),
        ];
    }

    private function prepare(Piece $piece): BenchStep
    {
        $do = [sprintf('Cut %s from %s: %s along the centreline.', $piece->mark, $piece->stockId, $this->length($piece->cutLengthMm()))];
        foreach ($piece->marks as $mark) {
            $do[] = sprintf('%s: outer edge %s, centre %s, inner edge %s.', $mark->label, $this->length($mark->outerMm), $this->length($mark->centreMm), $this->length($mark->innerMm));
        }
        $do[] = sprintf('Ends: %s; %s. Deburr inside and out.', lcfirst($piece->startPrep->label()), lcfirst($piece->endPrep->label()));
        $do[] = 'Stainless-only brush, acetone, let dry. Mark the piece and the flow arrow.';

        return new BenchStep("prepare.$piece->mark", StepKind::Prepare, $piece->mark, "Cut and prepare $piece->mark", $do, null, [
            new Measure('length', 'Length as cut', Quantity::Length, $piece->cutLengthMm()),
        ]);
    }

    private function tack(FitStep $step): BenchStep
    {
        $sheet = $this->sheet($step->jointId);
        $do = ["Fit $step->brings to $step->to. $step->why", "Index mark across the joint: {$sheet->index->text()}."];
        $turn = $this->turnInto($step->brings);
        if ($turn !== null) {
            $do[] = $turn;
        }
        $do[] = sprintf('Two small tacks on one side, at %s from the mark: it holds, and still hinges.', implode(' and ', array_map(static fn (float $deg): string => $deg.'°', $sheet->tacks->trialDeg)));

        return new BenchStep("tack.$step->jointId", StepKind::Tack, $step->jointId, "Tack $step->jointId for the trial fit", $do, null, [
            new Measure('gap', 'Widest gap', Quantity::Wall, 0.0),
        ]);
    }

    private function turnInto(string $mark): ?string
    {
        foreach ($this->run->pieces as $piece) {
            if ($piece->mark === $mark && $piece->clocking !== null) {
                return sprintf(
                    'Turn %s by %s %s looking with the flow: %s round the outside from the throat line before it.',
                    $mark,
                    Quantity::Angle->show(abs($piece->clocking->turnDeg), $this->units),
                    $piece->clocking->turnDeg < 0 ? 'anticlockwise' : 'clockwise',
                    $this->length(abs($piece->clocking->aroundMm)),
                );
            }
        }

        return null;
    }

    private function trialFit(): BenchStep
    {
        $letter = $this->run->spec->letter;

        return new BenchStep("trial.$letter", StepKind::TrialFit, $letter, "Trial fit run $letter", [
            'Gasket in, panels hung, plain nut on the V-band.',
            'Steering through its whole range, not only to the stops; suspension through its travel.',
            'Every flange bolt, clamp and sensor reached with the real tool.',
            'Trim the closing end to its line. Then strip.',
        ], null, [
            new Measure('gap', 'Far-end gap', Quantity::Length, 0.0),
            new Measure('angle', 'Far-end angle', Quantity::Angle, 0.0),
        ]);
    }

    private function fullTack(): BenchStep
    {
        $tacks = $this->run->sheets[0]->tacks;
        foreach ($this->run->sheets as $sheet) {
            $tacks = $sheet->joint->type === JointType::Butt ? $sheet->tacks : $tacks;
        }
        $letter = $this->run->spec->letter;

        return new BenchStep("full.$letter", StepKind::FullTack, $letter, "Tack run $letter all round", [
            sprintf('%d tacks a joint, opposite pairs in turn: %s.', count($tacks->fullDeg), implode(', ', array_map(static fn (float $deg): string => $deg.'°', $tacks->fullDeg))),
            sprintf('Each about %s long, fused without wire on a tight joint.', $this->length($tacks->tackMm)),
            'The last tacks go on the side the tube should move towards.',
        ], null, []);
    }

    /** @return list<BenchStep> purge, weld, cool */
    private function weldOne(JointSheet $sheet): array
    {
        [$id, $purge, $set] = [$sheet->joint->id, $sheet->purge, $sheet->settings];
        $bung = $sheet->joint->type === JointType::Bung ? $this->drill($sheet->joint) : [];

        return [
            new BenchStep("purge.$id", StepKind::Purge, $id, "Purge for $id", [
                ...$bung,
                sprintf('Dam the openings. Feed at the %s end, vent at the %s end, vent at least %s.', $purge->pose->feedAtStart ? 'start' : 'far', $purge->pose->feedAtStart ? 'far' : 'start', $this->show($purge->figures['vent']->quantity, $purge->value('vent'))),
                ...($purge->pose->stoodOnEnd ? ['Stand the run on end so that the vent is its highest point.'] : []),
                ...($purge->pose->trappedMm > 0 ? [sprintf('A high point %s above the vent keeps air: give it a second vent, or turn the run.', $this->length($purge->pose->trappedMm))] : []),
                sprintf('Tape every open joint. %s until the meter reads below %s.', $this->show(Quantity::Flow, $purge->value('flow')), $this->show(Quantity::Oxygen, $purge->value('target'))),
            ], $purge->value('fill'), [new Measure('oxygen', 'Oxygen at the vent', Quantity::Oxygen, $purge->value('target'))]),
            new BenchStep("weld.$id", StepKind::Weld, $id, "Weld $id: {$sheet->joint->between} to {$sheet->joint->and}", [
                $sheet->why,
                sprintf('Turn the purge down to %s. Peel the tape where the torch goes.', $this->show(Quantity::Flow, $purge->value('hold'))),
                'Opposite quarters in turn, runs of about an inch, hold the post-flow.',
            ], $set['arc']->value, [
                new Measure('amps', 'Amps used', Quantity::Current, $set['amps']->value),
                new Measure('flow', 'Torch argon used', Quantity::Flow, $set['flow']->value),
                new Measure('seconds', 'Time at the joint', Quantity::Duration, $set['arc']->value),
            ]),
            new BenchStep("cool.$id", StepKind::Cool, $id, "Let $id cool", [
                sprintf('Purge on until below %s; go on when a bare hand can rest on it.', $this->show(Quantity::Temperature, $this->rules->value('purge.keep_until'))),
                'Meanwhile prepare the next joint. Check the fit again before it is tacked.',
            ], $set['cool']->value, [new Measure('temperature', 'Temperature going on', Quantity::Temperature, $this->rules->value('cool.touch'))]),
        ];
    }

    /** @return list<string> */
    private function drill(Joint $joint): array
    {
        foreach ($this->run->fittings as $placed) {
            if ($placed->jointId === $joint->id) {
                return [
                    sprintf('Mark %s: %s from its upstream end, %s %s from the throat line (%s round the outside).', $placed->pieceMark, $this->length($placed->fromPieceStartMm), Quantity::Angle->show(abs($placed->fromThroat->turnDeg), $this->units), $placed->fromThroat->turnDeg < 0 ? 'anticlockwise' : 'clockwise', $this->length(abs($placed->fromThroat->aroundMm))),
                    'Check the sensor’s body and lead clear everything, then pilot drill, step drill to 18 mm, dress. Sacrificial plug in the thread.',
                ];
            }
        }

        return [];
    }

    private function inspect(): BenchStep
    {
        $letter = $this->run->spec->letter;

        return new BenchStep("inspect.$letter", StepKind::Inspect, $letter, "Inspect run $letter", [
            'Outside and inside colour, penetration all round, undercut, sugar, porosity, cracks.',
            'Leak test: 5–10 psi air and soapy water.',
            'Flange flatness. Trial fit once more.',
        ], null, [
            new Measure('pressure', 'Leak-test pressure', Quantity::Pressure, null),
            new Measure('flatness', 'Flange out of flat', Quantity::Wall, null),
        ]);
    }

    private function sheet(string $jointId): JointSheet
    {
        foreach ($this->run->sheets as $sheet) {
            if ($sheet->joint->id === $jointId) {
                return $sheet;
            }
        }
        throw new \LogicException("Joint $jointId has no sheet.");
    }

    private function length(float $mm): string
    {
        return Quantity::Length->show($mm, $this->units);
    }

    private function show(Quantity $quantity, float $value): string
    {
        return $quantity->show($value, $this->units);
    }
}
