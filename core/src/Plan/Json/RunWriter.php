<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Json;

use UpsweptBead\Core\Cut\Bar;
use UpsweptBead\Core\Cut\BentDonor;
use UpsweptBead\Core\Cut\CutMark;
use UpsweptBead\Core\Cut\Nesting;
use UpsweptBead\Core\Cut\Piece;
use UpsweptBead\Core\Fit\FitStep;
use UpsweptBead\Core\Fit\JointFace;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Plan\PlacedFitting;
use UpsweptBead\Core\Plan\RunPlan;
use UpsweptBead\Core\Plan\StockNeed;
use UpsweptBead\Core\Route\EndsRelation;
use UpsweptBead\Core\Run\Clocking;
use UpsweptBead\Core\Survey\BoreFit;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Weld\Joint;
use UpsweptBead\Core\Weld\JointSheet;

/** Writes one run of the plan for screens and for `bead plan --json`. */
final readonly class RunWriter
{
    private RouteWriter $routes;

    public function __construct(private FigureWriter $figures)
    {
        $this->routes = new RouteWriter($figures);
    }

    /**
     * Only what is drawn and measured of a run, for while it is dragged.
     *
     * @return array<string, mixed>
     */
    public function shape(RunPlan $plan): array
    {
        return [
            'letter' => $plan->spec->letter,
            'name' => $plan->spec->name,
            'tube' => $plan->tube === null ? null : [
                'id' => $plan->tube->id,
                'name' => $plan->tube->name,
                'od' => $this->figures->length($plan->tube->odMm),
                'wall' => $this->figures->plain(Quantity::Wall, $plan->tube->wallMm),
            ],
            'start' => ['name' => $plan->spec->start->name, 'kind' => $plan->spec->start->kind->value, 'frame' => $this->routes->frame($plan->spec->start->frame())],
            'target' => ['name' => $plan->spec->end->name, 'kind' => $plan->spec->end->kind->value, 'frame' => $this->routes->frame($plan->spec->end->frame())],
            'opening' => $plan->spec->start->bore === null ? null : array_map(static fn (Vector $point): array => $point->toArray(), $plan->spec->start->bore->outline($plan->spec->start->frame())),
            'ends' => $this->ends($plan),
            'run' => $plan->run === null ? null : $this->routes->run($plan->run),
            'farEnd' => $plan->farEnd === null ? null : $this->routes->farEnd($plan->farEnd),
            'mass' => $this->figures->plain(Quantity::Mass, $plan->massKg()),
            'joints' => array_map(fn (Joint $joint): array => $this->joint($joint, $plan), $plan->joints),
            'fittings' => array_map($this->fitting(...), $plan->fittings),
        ];
    }

    /** @return array<string, mixed> */
    public function run(RunPlan $plan): array
    {
        return [
            ...$this->shape($plan),
            'bore' => (object) $this->figures->each(BoreFit::figures($plan->spec, $plan->tube)),
            'pieces' => array_map($this->piece(...), $plan->pieces),
            'nesting' => $plan->nesting === null ? null : $this->nesting($plan->nesting),
            'stock' => array_map(static fn (StockNeed $need): array => [
                'id' => $need->stockId, 'needed' => $need->needed, 'onShelf' => $need->onShelf, 'toBuy' => $need->toBuy(),
            ], $plan->stock),
            'fitting' => array_map(static fn (FitStep $step): array => [
                'order' => $step->order, 'joint' => $step->jointId, 'brings' => $step->brings, 'to' => $step->to, 'why' => $step->why,
            ], $plan->fitting),
            'sheets' => array_map($this->sheet(...), $plan->sheets),
        ];
    }

    /** @return array<string, mixed> */
    private function ends(RunPlan $plan): array
    {
        $relation = EndsRelation::of($plan->spec->start->frame(), $plan->spec->end->frame());

        return [
            'distance' => $this->figures->length($relation->distanceMm),
            'turn' => $this->figures->plain(Quantity::Angle, $relation->turnDeg),
            'miss' => $this->figures->length($relation->missMm),
            'leastBends' => $relation->leastBends,
        ];
    }

    /** @return array<string, mixed> */
    private function piece(Piece $piece): array
    {
        return [
            'mark' => $piece->mark,
            'stock' => $piece->stockId,
            'isBend' => $piece->isBend(),
            'from' => $piece->span->fromMm,
            'to' => $piece->span->toMm,
            'length' => $this->figures->length($piece->span->lengthMm()),
            'cutLength' => $this->figures->length($piece->cutLengthMm()),
            'angle' => $this->figures->plain(Quantity::Angle, $piece->angleDeg),
            'clr' => $this->figures->length($piece->clrMm),
            'legBefore' => $this->figures->length($piece->span->legBeforeMm),
            'legAfter' => $this->figures->length($piece->span->legAfterMm),
            'startPrep' => $piece->startPrep->label(),
            'endPrep' => $piece->endPrep->label(),
            'trim' => $this->figures->figure($piece->trim),
            'shrink' => $this->figures->figure($piece->shrink),
            'mass' => $this->figures->plain(Quantity::Mass, $piece->massKg),
            'marks' => array_map(fn (CutMark $mark): array => [
                'label' => $mark->label,
                'outer' => $this->figures->length($mark->outerMm),
                'centre' => $this->figures->length($mark->centreMm),
                'inner' => $this->figures->length($mark->innerMm),
            ], $piece->marks),
            'clocking' => $piece->clocking === null ? null : $this->clocking($piece->clocking),
        ];
    }

    /** @return array<string, mixed> */
    private function joint(Joint $joint, RunPlan $plan): array
    {
        $face = $plan->run === null ? null : JointFace::of($plan->run, $joint->stationMm);

        return [
            'id' => $joint->id,
            'type' => $joint->type->value,
            'typeLabel' => $joint->type->label(),
            'between' => $joint->between,
            'and' => $joint->and,
            'station' => $joint->stationMm,
            'seam' => $this->figures->length($joint->seamMm),
            'metals' => "$joint->metal – $joint->otherMetal",
            'up' => $face?->upDeg,
            'nextThroat' => $face?->nextThroatDeg,
        ];
    }

    /** @return array<string, mixed> */
    private function fitting(PlacedFitting $placed): array
    {
        return [
            'joint' => $placed->jointId,
            'label' => $placed->fitting->kind->label(),
            'piece' => $placed->pieceMark,
            'station' => $placed->fitting->station->mm,
            'fromTop' => $this->figures->plain(Quantity::Angle, $placed->fitting->fromTopDeg),
            'fromPieceStart' => $this->figures->length($placed->fromPieceStartMm),
            'fromThroat' => $this->clocking($placed->fromThroat),
        ];
    }

    /** @return array<string, mixed> */
    private function nesting(Nesting $nesting): array
    {
        return [
            'leastBars' => $nesting->leastBars,
            'bars' => array_map(fn (Bar $bar): array => [
                'length' => $this->figures->length($bar->lengthMm),
                'cuts' => array_map(fn (array $cut): array => ['mark' => $cut['mark'], ...$this->figures->length($cut['mm'])], $bar->cuts),
                'left' => $this->figures->length($bar->leftMm),
            ], $nesting->bars),
            'donors' => array_map(fn (BentDonor $donor): array => [
                'stock' => $donor->stock->id,
                'marks' => $donor->marks,
                'left' => $this->figures->plain(Quantity::Angle, $donor->leftDeg),
            ], $nesting->donors),
        ];
    }

    /** @return array<string, mixed> */
    private function sheet(JointSheet $sheet): array
    {
        return [
            'joint' => $sheet->joint->id,
            'order' => $sheet->order,
            'why' => $sheet->why,
            'index' => ['long' => $sheet->index->long, 'short' => $sheet->index->short, 'text' => $sheet->index->text()],
            'tacks' => ['trial' => $sheet->tacks->trialDeg, 'full' => $sheet->tacks->fullDeg, 'length' => $this->figures->length($sheet->tacks->tackMm)],
            'settings' => $this->figures->each([...$sheet->choices, ...$sheet->settings]),
            'working' => array_map(fn (float $amps): array => $this->figures->plain(Quantity::Current, $amps), $sheet->workingA),
            'purge' => $this->figures->each($sheet->purge->figures),
            'pose' => ['feedAtStart' => $sheet->purge->pose->feedAtStart, 'trapped' => $this->figures->length($sheet->purge->pose->trappedMm), 'stoodOnEnd' => $sheet->purge->pose->stoodOnEnd],
            'warnings' => $sheet->warnings,
        ];
    }

    /** @return array<string, mixed> */
    private function clocking(Clocking $clocking): array
    {
        return [
            'turn' => $this->figures->plain(Quantity::Angle, $clocking->turnDeg),
            'around' => $this->figures->length(abs($clocking->aroundMm)),
            'way' => $clocking->turnDeg < 0 ? 'anticlockwise' : 'clockwise',
        ];
    }
}
