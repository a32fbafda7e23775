<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Collector\CollectorMake;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * Bench steps of a collector beyond its welds: its tubes tacked together, its outlet pressed round, its inlets trued.
 */
final readonly class CollectorSteps
{
    public function __construct(private JointList $joints, private ShopRules $rules, private UnitSystem $units) {}

    /**
     * @param  list<Task>  $moves  of the whole job
     * @return list<BenchStep>
     */
    public function tacks(BuiltCollector $collector, array $moves): array
    {
        $steps = [];
        foreach ($this->joints->ofRun($collector->build->letter) as $joint) {
            if ($joint->type !== JointType::MergeSeam) {
                continue;
            }
            foreach ($moves as $move) {
                if ($move->kind === StepKind::Tack && $move->joint?->id === $joint->id) {
                    $steps[] = $this->tack($collector, $joint, $move);
                }
            }
        }

        return $steps;
    }

    private function tack(BuiltCollector $collector, Joint $joint, Task $move): BenchStep
    {
        return new BenchStep(
            StepKind::Tack,
            $joint->id,
            "Tack $joint->id: $move->brings to $move->to",
            [
                $move->why,
                ...$collector->isBent()
                    ? ["A shim of {$this->length($collector->shimMm())} between the inlets: welding pulls them together."]
                    : ['Inlets on a flat plate, on their circle; no light through the seam.'],
                'First tack at the crotch, the end towards the inlets, then down each side.',
                "Seam of {$this->length($joint->seam->lengthMm)}.",
            ],
            null,
            Measured::fit($joint, $this->rules),
        );
    }

    public function outlet(BuiltCollector $collector): BenchStep
    {
        $sizes = $collector->sizes;
        $letter = $collector->build->letter;

        return new BenchStep(
            StepKind::Outlet,
            $letter,
            "Cut and round the outlet of {$collector->spec->name}",
            [
                "Slide the outlet tube in until it stops and mark; cut {$this->length($sizes->beyond->value)} beyond the mark.",
                "Press the end round over a former to {$this->length($sizes->outlet->odMm)} outside.",
                'Inside seam: coarse drum, then flap wheel, to a sharp seam line. Look inside with a lamp.',
            ],
            null,
            [new Measure(
                'outlet',
                'Outside of the outlet',
                Quantity::Length,
                $sizes->outlet->odMm,
                within: $this->withinMm(),
            )],
        );
    }

    public function trued(BuiltCollector $collector): BenchStep
    {
        $sizes = $collector->sizes;
        $letter = $collector->build->letter;
        $boreMm = $sizes->mouthOdMm - 2 * $sizes->tube->wallMm;

        return new BenchStep(
            StepKind::Trueing,
            $letter,
            ($sizes->isButted ? 'True and bevel' : 'Expand and true')." the inlets of {$collector->spec->name}",
            $sizes->isButted ? [
                'Welding has drawn the inlets out of line: lever each true, and tap it round.',
                'Bevel each edge like that of the tube that comes to it, and clean both sides bright.',
                'A sample of its tube meets each edge to edge, without a step to be felt inside.',
            ] : [
                "Expand each inlet to {$this->length($boreMm)} inside, {$this->length($sizes->leg->value)} of straight are there for it.",
                'Welding has drawn the inlets out of line: lever each true while the expander holds it.',
                'Each takes a sample of its tube to the full depth, and turns in it.',
            ],
            null,
            [
                $this->circle($collector),
                new Measure('bore', 'Inside of an inlet', Quantity::Length, $boreMm, within: $this->withinMm()),
            ],
        );
    }

    public function bought(BuiltCollector $collector): BenchStep
    {
        $letter = $collector->build->letter;

        return new BenchStep(
            StepKind::Check,
            $letter,
            "Check {$collector->spec->name} as it came",
            [
                'Measure bores, the circle through the inlets and the length along the axis; put them in the plan.',
                'Where it comes tacked: break the tacks, bevel every edge, clean, tack again.',
                'Weld it fully, then to its flange on a heat-sink plate, before any run goes on.',
            ],
            null,
            [
                $this->circle($collector),
                new Measure(
                    'length',
                    'From inlets to outlet',
                    Quantity::Length,
                    $collector->sizes->length->value,
                    within: $this->withinMm(),
                ),
            ],
        );
    }

    private function circle(BuiltCollector $collector): Measure
    {
        $mm = $collector->sizes->circle->value;

        return new Measure('circle', 'Circle through the inlets', Quantity::Length, $mm, within: $this->withinMm());
    }

    private function withinMm(): float
    {
        return $this->rules->value('cut.within');
    }

    public function inspect(BuiltCollector $collector): BenchStep
    {
        $letter = $collector->build->letter;

        return new BenchStep(
            StepKind::LeakTest,
            $letter, "Inspect {$collector->spec->name}", [
                'Seams inside and outside: colour, penetration at the crotch and in the centre, no pinholes.',
                'Leak test: 5–10 psi air and soapy water, inlets plugged.',
                'Every inlet takes its tube; the outlet is round.',
            ], null, [Measured::leakTest()]);
    }

    /** @return list<BenchStep> what comes first at one that is bought */
    public function incoming(BuiltCollector $collector): array
    {
        return $collector->build->make === CollectorMake::Bought ? [$this->bought($collector)] : [];
    }

    private function length(float $mm): string
    {
        return Quantity::Length->read($mm, $this->units);
    }
}
