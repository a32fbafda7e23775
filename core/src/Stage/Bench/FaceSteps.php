<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Base\Flatness\Face;
use UpsweptBead\Core\Base\Flatness\FacePoint;
use UpsweptBead\Core\Base\Flatness\Land;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Collector\CollectorEntry;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * Bench steps in which faces that are bolted or clamped are measured, of a run and of a set, once all of it is cold.
 */
final readonly class FaceSteps
{
    /**
     * Ports that lean to each other by less (degrees) and stand back by less (mm) are bolted to one face; our own
     * figures.
     */
    private const LEAN_DEG = 0.5;

    private const BACK_MM = 0.5;

    public function __construct(private JointList $joints, private ShopRules $rules, private Job $job) {}

    /** @return list<BenchStep> of the flanges and rings of a run */
    public function of(string $letter): array
    {
        $steps = [];
        foreach ($this->joints->ofRun($letter) as $joint) {
            $isBand = $joint->type === JointType::VBandButt;
            if ($isBand || $joint->type === JointType::FlangeFillet) {
                $steps[] = $this->face($joint, $isBand);
            }
        }

        return $steps;
    }

    /** Only the land that seals is judged: of a flange the ring about its bore, inside the bolts; of a ring its lip. */
    private function face(Joint $joint, bool $isBand): BenchStep
    {
        $isStart = $joint->seam->stationMm <= 0.0;
        $part = ($isStart ? $joint->between : $joint->and)->name;
        $radiusMm = $joint->seam->odMm / 2;
        $rule = $isBand ? 'flat.band' : 'flat.flange';
        $face = Face::ring(
            $radiusMm,
            $radiusMm + $this->rules->value($isBand ? 'flange.band_land' : 'flange.land'),
            $this->rules->value($rule),
        );
        $limit = Quantity::Wall->show($face->limitMm, $this->job->units);

        return new BenchStep(
            StepKind::Face,
            self::at($joint->run, $isStart),
            "Measure the face of $part",
            [
                'On a surface plate, cold and unbolted: feeler or dial at six points by the clock, looking at the face, midway on the land that seals.',
                "No more than $limit from the highest to the lowest over the plane that fits best; tabs outside it do not seal.",
                ...$isBand ? [] : ['The limit is for a multi-layer steel gasket; one of graphite or composite takes 0.15 mm.'],
                'A face that was flat before welding may bow the other way after: measured anew, never gone by.',
            ],
            null,
            self::readings($face),
            face: $face,
            of: $joint->run,
        );
    }

    /** The end of a run, as a step's subject. */
    public static function at(string $run, bool $isStart): string
    {
        return $isStart ? "$run.start" : "$run.end";
    }

    /**
     * Flanges that a collector holds together meet one face of the engine: each may be flat by itself and stand back or
     * lean.
     *
     * @param  list<string>  $letters  of runs
     * @return list<BenchStep>
     */
    public function together(array $letters): array
    {
        // In the order of their letters, whatever order they are built in.
        sort($letters);
        $held = [];
        foreach ($letters as $letter) {
            $root = $this->root($letter);
            $joint = $this->startFlange($letter);
            if ($root !== null && $joint !== null) {
                $held[$root][$letter] = $joint;
            }
        }
        $steps = [];
        foreach ($held as $joints) {
            $lands = $this->lands($joints);
            if (count($lands) > 1) {
                $steps[] = $this->ports($lands);
            }
        }

        return $steps;
    }

    /** @param  non-empty-array<string, Land>  $lands  by run */
    private function ports(array $lands): BenchStep
    {
        $face = Face::together($lands, $this->rules->value('flat.ports'));
        $letters = array_map(strval(...), array_keys($lands));
        $limit = Quantity::Wall->show($face->limitMm, $this->job->units);

        return new BenchStep(
            StepKind::Face,
            implode('', $letters).'.ports',
            'Measure the port faces of '.implode(', ', $letters).' together',
            [
                'On a surface plate or a straight edge over all ports, cold and unbolted: three points of each by the clock, looking with the flow.',
                "No more than $limit from the highest to the lowest over the plane that fits all of them best.",
                'A port that stands back is not drawn up by its bolts: they crack its seam. Face them together, or cut the seam and set it again.',
            ],
            null,
            self::readings($face),
            after: array_map(
                static fn (string $letter): string => StepKind::Face->key(self::at($letter, true)),
                $letters,
            ),
            face: $face,
            of: Task::ALL,
        );
    }

    /** @return list<Measure> */
    private static function readings(Face $face): array
    {
        return array_map(
            static fn (FacePoint $one): Measure => new Measure($one->name, $one->label, Quantity::Wall, null),
            $face->points,
        );
    }

    /** The last collector that a run is welded into, by way of others or at once; null where nothing holds it. */
    private function root(string $letter): ?string
    {
        $root = null;
        for ($i = 0; $i < count($this->job->set->collectors); $i++) {
            $next = $this->job->collectorOf($letter);
            if ($next === null || $next->entry === CollectorEntry::Slip) {
                break;
            }
            $root = $next->name;
            $letter = $next->build->into ?? '';
        }

        return $root;
    }

    private function startFlange(string $letter): ?Joint
    {
        foreach ($this->joints->ofRun($letter) as $joint) {
            if ($joint->type === JointType::FlangeFillet && $joint->seam->stationMm <= 0.0) {
                return $joint;
            }
        }

        return null;
    }

    /**
     * @param  non-empty-array<string, Joint>  $joints  at port flanges, by run
     * @return array<string, Land> as one sees them looking with the flow, from the first; none where they are no one face
     */
    private function lands(array $joints): array
    {
        $first = null;
        $lands = [];
        foreach ($joints as $letter => $joint) {
            $frame = $this->job->run($letter)?->start->frame();
            if ($frame === null) {
                continue;
            }
            $first ??= $frame;
            $to = $frame->at->minus($first->at);
            if (
                $frame->forward->angleDegTo($first->forward) > self::LEAN_DEG
                || abs($to->dot($first->forward)) > self::BACK_MM
            ) {
                return [];
            }
            $radiusMm = $joint->seam->odMm / 2;
            $lands[$letter] = new Land(
                $to->dot($first->forward->cross($first->reference)),
                $to->dot($first->reference),
                $radiusMm,
                $radiusMm + $this->rules->value('flange.land'),
            );
        }

        return $lands;
    }
}
