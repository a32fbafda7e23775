<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

use UpsweptBead\Core\Flatness\Face;
use UpsweptBead\Core\Flatness\FacePoint;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Joint\JointList;
use UpsweptBead\Core\Joint\JointType;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Units\UnitSystem;

/** Bench steps in which the faces that a run is bolted or clamped by are measured, once all of it is cold. */
final readonly class FaceSteps
{
    public function __construct(private JointList $joints, private ShopRules $rules, private UnitSystem $units) {}

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
        $limit = Quantity::Wall->show($face->limitMm, $this->units);

        return new BenchStep(
            "face.$joint->run.".($isStart ? 'start' : 'end'),
            StepKind::Inspect,
            $joint->run,
            "Measure the face of $part",
            [
                'On a surface plate, cold and unbolted: feeler or dial at six points by the clock, looking at the face, midway on the land that seals.',
                "No more than $limit from the highest to the lowest over the plane that fits best; tabs outside it do not seal.",
                ...$isBand ? [] : ['The limit is for a multi-layer steel gasket; one of graphite or composite takes 0.15 mm.'],
                'A face that was flat before welding may bow the other way after: measured anew, never gone by.',
            ],
            null,
            array_map(
                static fn (FacePoint $one): Measure => new Measure($one->name, $one->label, Quantity::Wall, null),
                $face->points,
            ),
            face: $face,
        );
    }
}
