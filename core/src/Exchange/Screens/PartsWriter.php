<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Exchange\Drawing\SkinBack;
use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Merge\PieCut;
use UpsweptBead\Core\Solve\Merge\SideLengths;
use UpsweptBead\Core\Solve\Run\Clocking;
use UpsweptBead\Core\Stage\Cut\CutMark;
use UpsweptBead\Core\Stage\Cut\MakeOrBuy;
use UpsweptBead\Core\Stage\Cut\OnTape;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointFace;

/** Writes what runs and collectors are made of: their tube, their pieces, their joints. */
final readonly class PartsWriter
{
    /** A slanted or merged end is drawn with a point at every so many degrees. */
    public function __construct(private FigureWriter $figures, private Rates $rates) {}

    /** @return array<string, mixed> */
    public function tube(TubeSize $tube): array
    {
        return [
            'id' => $tube->id,
            'name' => $tube->name,
            'od' => $this->figures->length($tube->odMm),
            'wall' => $this->figures->plain(Quantity::Wall, $tube->wallMm),
        ];
    }

    /**
     * @param  OnTape  $tape  of all pieces of its job
     * @return array<string, mixed>
     */
    public function piece(Piece $piece, OnTape $tape, SkinBack $back): array
    {
        return [
            'mark' => $piece->mark,
            'stock' => $piece->stockId,
            'isBend' => $piece->isBend(),
            'from' => $piece->span->fromMm,
            'to' => $piece->span->toMm,
            'length' => $this->figures->length($piece->span->lengthMm()),
            'cutLength' => $this->figures->cut($piece->cutLengthMm(), $tape->mm[$piece->mark] ?? $piece->cutLengthMm()),
            'angle' => $this->figures->plain(Quantity::Angle, $piece->angleDeg),
            'clr' => $this->figures->length($piece->clrMm),
            'legBefore' => $this->figures->length($piece->span->legBeforeMm),
            'legAfter' => $this->figures->length($piece->span->legAfterMm),
            'backStart' => $back->startMm,
            'backEnd' => $back->endMm,
            'template' => $piece->startPrep->isToTemplate() || $piece->endPrep->isToTemplate(),
            'startPrep' => $piece->startPrep->label(),
            'endPrep' => $piece->endPrep->label(),
            'trim' => $this->figures->figure($piece->allowances->trim),
            'shrink' => $this->figures->figure($piece->allowances->shrink),
            'slip' => $this->figures->figure($piece->allowances->slip),
            'mass' => $this->figures->plain(Quantity::Mass, $piece->massKg),
            'marks' => array_map(fn (CutMark $mark): array => [
                'label' => $mark->label,
                'kind' => $mark->kind->value,
                'long' => $this->figures->length($mark->longMm),
                'outer' => $this->figures->length($mark->outerMm),
                'centre' => $this->figures->length($mark->centreMm),
                'inner' => $this->figures->length($mark->innerMm),
            ], $piece->marks),
            'longStart' => $this->figures->length($piece->allowances->startMm),
            'longEnd' => $this->figures->length($piece->allowances->endMm()),
            'clocking' => $piece->clocking === null ? null : $this->clocking($piece->clocking),
            'pie' => $piece->pie === null ? null : $this->pie($piece->pie, $piece->span->bendIndex ?? 0),
            'turnedFrom' => $piece->turnedFrom(),
        ];
    }

    /** @return array<string, mixed> */
    private function pie(PieCut $pie, int $bend): array
    {
        $sides = fn (SideLengths $one): array => [
            'outer' => $this->figures->length($one->outerMm),
            'centre' => $this->figures->length($one->centreMm),
            'inner' => $this->figures->length($one->innerMm),
        ];
        $sum = MakeOrBuy::of($pie, $this->rates);

        return [
            'bend' => $bend,
            'welds' => $pie->welds,
            'mitre' => $this->figures->plain(Quantity::Angle, rad2deg($pie->mitre)),
            'wedge' => $sides($pie->wedge()),
            'end' => $sides($pie->end()),
            'shrink' => $this->figures->plain(Quantity::Wall, $pie->shrinkMm),
            'stick' => $this->figures->length($pie->stickMm()),
            'seam' => $this->figures->length($pie->seamMm()),
            'sum' => [
                'minutes' => $this->figures->plain(Quantity::Duration, 60 * $sum->minutes),
                'blades' => round($sum->blades, 2),
                'making' => round($sum->making, 2),
                'set' => round($sum->set, 2),
                'isBought' => $sum->isBought(),
            ],
        ];
    }

    /** @return array<string, mixed> */
    public function joint(Joint $joint, ?JointFace $face): array
    {
        return [
            'id' => $joint->id,
            'type' => $joint->type->value,
            'typeLabel' => $joint->type->label(),
            'round' => $joint->type->isRound(),
            'welded' => $joint->type->isWelded(),
            'between' => $joint->between->name,
            'and' => $joint->and->name,
            'station' => $joint->seam->stationMm,
            'seam' => $this->figures->length($joint->seam->lengthMm),
            'metals' => "{$joint->between->metal} – {$joint->and->metal}",
            'index' => [
                'long' => $joint->seam->index->long,
                'short' => $joint->seam->index->short,
                'text' => $joint->seam->index->text(),
            ],
            'up' => $face?->upDeg,
            'nextThroat' => $face?->nextThroatDeg,
        ];
    }

    /** @return array<string, mixed> */
    public function clocking(Clocking $clocking): array
    {
        return [
            'turn' => $this->figures->plain(Quantity::Angle, $clocking->turnDeg),
            'around' => $this->figures->length(abs($clocking->aroundMm)),
            'way' => $clocking->way(),
        ];
    }
}
