<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Exchange\Drawing\SkinBack;
use UpsweptBead\Core\Job\Part\HangerSpec;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Route\EndsRelation;
use UpsweptBead\Core\Stage\Cut\OnTape;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Fit\Growth\HangerPlace;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointFace;
use UpsweptBead\Core\Stage\Joint\PlacedFitting;
use UpsweptBead\Core\Stage\Layout\WhereItEnds;
use UpsweptBead\Core\Stage\Plan\Sketch;
use UpsweptBead\Core\Stage\Survey\BoreFit;

/** Writes the runs of a plan, each as it lies, with its pieces, joints and fittings. */
final readonly class RunWriter
{
    private RouteWriter $routes;

    private PartsWriter $parts;

    public function __construct(private FigureWriter $figures, private Sketch $sketch)
    {
        $this->routes = new RouteWriter($figures);
        $this->parts = new PartsWriter($figures, $sketch->rates);
    }

    /** @return list<array<string, mixed>> only what is drawn and measured, for while something is dragged */
    public function shapes(): array
    {
        return array_map($this->shape(...), $this->sketch->job->runs);
    }

    /** @return list<array<string, mixed>> */
    public function runs(): array
    {
        $tape = $this->sketch->cut->onTape($this->figures->units);

        return array_map(fn (RunSpec $spec): array => [
            ...$this->shape($spec),
            'hangerAt' => $this->hangerMm($spec),
            'bore' => (object) $this->figures->withReasons()->each(BoreFit::figures($spec, $this->tubeOf($spec))),
            'pieces' => $this->pieces($spec->letter, $tape),
        ], $this->sketch->job->runs);
    }

    /** Where a new hanger is proposed, mm from the start; null where there is no way yet. */
    private function hangerMm(RunSpec $spec): ?float
    {
        $routed = $this->sketch->layout->run($spec->letter);
        $hangers = array_filter(
            $this->sketch->job->set->hangers,
            static fn (HangerSpec $one): bool => $one->run === $spec->letter,
        );
        $joints = $this->sketch->joints;

        return $routed === null ? null : HangerPlace::stationMm($routed->run, [
            ...array_map(static fn (Joint $one): float => $one->seam->stationMm, $joints->ofRun($spec->letter)),
            ...array_map(
                static fn (PlacedFitting $one): float => $one->fitting->station->mm,
                $joints->fittingsOf($spec->letter),
            ),
            ...array_map(static fn (HangerSpec $one): float => $one->station->mm, array_values($hangers)),
        ]);
    }

    /** @return list<array<string, mixed>> */
    private function pieces(string $letter, OnTape $tape): array
    {
        return array_map(
            fn (Piece $piece): array => $this->parts->piece($piece, $tape, SkinBack::of($this->sketch, $piece)),
            $this->sketch->cut->piecesOf($letter),
        );
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
            'tube' => $tube === null ? null : $this->parts->tube($tube),
            'start' => $this->end($spec->start),
            'target' => $this->end($spec->end),
            'opening' => $outline === null ? null : array_map($xyz, $outline),
            'ends' => $this->ends($spec),
            'run' => $routed === null ? null : $this->routes->run($routed->run),
            'whereItEnds' => $routed === null
                ? ''
                : WhereItEnds::text($routed->line->start, $routed->line->end, $this->figures->units),
            'farEnd' => $routed === null ? null : $this->routes->farEnd($routed->farEnd),
            'mass' => $this->figures->plain(Quantity::Mass, $this->sketch->cut->massKg($spec->letter)),
            'joints' => $routed === null ? [] : array_map(
                fn (Joint $joint): array => $this->parts->joint(
                    $joint,
                    JointFace::of($routed->line, $joint->seam->stationMm),
                ),
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
    private function fitting(PlacedFitting $placed): array
    {
        return [
            'joint' => $placed->jointId,
            'kind' => $placed->fitting->kind->value,
            'label' => $placed->fitting->kind->label(),
            'length' => $placed->fitting->length?->mm,
            'piece' => $placed->pieceMark,
            'station' => $placed->fitting->station->mm,
            'fromTop' => $this->figures->plain(Quantity::Angle, $placed->fitting->fromTopDeg),
            'fromPieceStart' => $this->figures->length($placed->fromPieceStartMm),
            'fromThroat' => $this->parts->clocking($placed->fromThroat),
        ];
    }
}
