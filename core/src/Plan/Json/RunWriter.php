<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Json;

use UpsweptBead\Core\Cut\CutMark;
use UpsweptBead\Core\Cut\Piece;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Job\RunEnd;
use UpsweptBead\Core\Job\RunSpec;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Joint\JointFace;
use UpsweptBead\Core\Joint\PlacedFitting;
use UpsweptBead\Core\Layout\RoutedRun;
use UpsweptBead\Core\Plan\Sketch;
use UpsweptBead\Core\Route\EndsRelation;
use UpsweptBead\Core\Run\Clocking;
use UpsweptBead\Core\Stock\TubeSize;
use UpsweptBead\Core\Survey\BoreFit;
use UpsweptBead\Core\Units\Quantity;

/** Writes the runs of a plan, each as it lies, with its pieces, joints and fittings. */
final readonly class RunWriter
{
    private RouteWriter $routes;

    public function __construct(private FigureWriter $figures, private Sketch $sketch)
    {
        $this->routes = new RouteWriter($figures);
    }

    /** @return list<array<string, mixed>> only what is drawn and measured, for while something is dragged */
    public function shapes(): array
    {
        return array_map($this->shape(...), $this->sketch->job->runs);
    }

    /** @return list<array<string, mixed>> */
    public function runs(): array
    {
        return array_map(fn (RunSpec $spec): array => [
            ...$this->shape($spec),
            'bore' => (object) $this->figures->withReasons()->each(BoreFit::figures($spec, $this->tubeOf($spec))),
            'pieces' => array_map($this->piece(...), $this->sketch->cut->piecesOf($spec->letter)),
        ], $this->sketch->job->runs);
    }

    /** @return array<string, mixed> */
    private function shape(RunSpec $spec): array
    {
        $routed = $this->sketch->layout->run($spec->letter);
        $tube = $this->tubeOf($spec);
        $joints = $this->sketch->joints;
        $outline = $spec->start->bore?->outline($spec->start->frame());
        $xyz = static fn (Vector $point): array => $point->toArray();

        return [
            'letter' => $spec->letter,
            'name' => $spec->name,
            'tube' => $tube === null ? null : [
                'id' => $tube->id,
                'name' => $tube->name,
                'od' => $this->figures->length($tube->odMm),
                'wall' => $this->figures->plain(Quantity::Wall, $tube->wallMm),
            ],
            'start' => $this->end($spec->start),
            'target' => $this->end($spec->end),
            'opening' => $outline === null ? null : array_map($xyz, $outline),
            'ends' => $this->ends($spec),
            'run' => $routed === null ? null : $this->routes->run($routed->run),
            'farEnd' => $routed === null ? null : $this->routes->farEnd($routed->farEnd),
            'mass' => $this->figures->plain(Quantity::Mass, $this->sketch->cut->massKg($spec->letter)),
            'joints' => $routed === null ? [] : array_map(
                fn (Joint $joint): array => $this->joint($joint, $routed),
                $joints->ofRun($spec->letter),
            ),
            'fittings' => array_map($this->fitting(...), $joints->fittingsOf($spec->letter)),
        ];
    }

    /** @return array<string, mixed> */
    private function end(RunEnd $end): array
    {
        return ['name' => $end->name, 'kind' => $end->kind->value, 'frame' => $this->routes->frame($end->frame())];
    }

    private function tubeOf(RunSpec $spec): ?TubeSize
    {
        return $this->sketch->layout->tubes[$spec->letter] ?? null;
    }

    /** @return array<string, mixed> */
    private function ends(RunSpec $spec): array
    {
        $relation = EndsRelation::of($spec->start->frame(), $spec->end->frame());

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
            'turnedFrom' => $piece->isFirstBend() ? 'the index mark of the start' : 'the throat line before it',
        ];
    }

    /** @return array<string, mixed> */
    private function joint(Joint $joint, RoutedRun $routed): array
    {
        $face = JointFace::of($routed->line, $joint->seam->stationMm);

        return [
            'id' => $joint->id,
            'type' => $joint->type->value,
            'typeLabel' => $joint->type->label(),
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
            'up' => $face->upDeg,
            'nextThroat' => $face->nextThroatDeg,
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
    private function clocking(Clocking $clocking): array
    {
        return [
            'turn' => $this->figures->plain(Quantity::Angle, $clocking->turnDeg),
            'around' => $this->figures->length(abs($clocking->aroundMm)),
            'way' => $clocking->turnDeg < 0 ? 'anticlockwise' : 'clockwise',
        ];
    }
}
