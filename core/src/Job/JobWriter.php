<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Base\Reason\Override;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Collector\SaddleSpec;
use UpsweptBead\Core\Job\Intake\IntakeSpec;
use UpsweptBead\Core\Job\Intake\IntakeWriter;
use UpsweptBead\Core\Job\Measured\MeasuredWriter;
use UpsweptBead\Core\Job\Procedure\OutsideWork;
use UpsweptBead\Core\Job\Procedure\WeldProcedure;
use UpsweptBead\Core\Job\Run\Bore;
use UpsweptBead\Core\Job\Run\BoreShape;
use UpsweptBead\Core\Job\Run\Fitting;
use UpsweptBead\Core\Job\Run\PlateSpec;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Job\Set\SetWriter;
use UpsweptBead\Core\Solve\Merge\Flange\Path;

/** Writes a job in the open format; what a person wrote stays as they wrote it. */
final readonly class JobWriter
{
    /** @return array<string, mixed> */
    public static function toArray(Job $job): array
    {
        return [
            'format' => Job::FORMAT,
            'version' => Job::VERSION,
            'job' => [
                'number' => $job->number,
                'title' => $job->title,
                'customer' => $job->customer,
                'vehicle' => $job->vehicle,
                'purpose' => $job->purpose->value,
                'units' => $job->units->value,
                'metal' => $job->metal,
                'note' => $job->note,
            ],
            ...self::intake($job->intake),
            ...($job->engine === null ? [] : ['engine' => [
                'cylinderCc' => $job->engine->cylinderCc,
                'exhaustOpens' => $job->engine->exhaustOpensDeg,
                'peakRpm' => $job->engine->peakRpm,
                'port' => $job->engine->port->entered(),
                'metalC' => $job->engine->metalC,
            ]]),
            'runs' => array_map(self::run(...), $job->runs),
            'set' => SetWriter::toArray($job->set),
            ...($job->procedures === [] ? [] : ['procedures' => array_map(
                static fn (WeldProcedure $one): array => [
                    'name' => $one->name,
                    'seams' => $one->seams->value,
                    'settings' => $one->settings,
                ],
                $job->procedures,
            )]),
            ...($job->outside === [] ? [] : ['outside' => array_map(
                static fn (OutsideWork $one): array => ['what' => $one->what, 'cost' => $one->cost],
                $job->outside,
            )]),
            ...($job->prices === [] ? [] : ['prices' => $job->prices]),
            ...($job->measured->isEmpty() ? [] : ['measured' => MeasuredWriter::toArray($job->measured)]),
            'overrides' => array_map(
                static fn (Override $override): array => [
                    'figure' => $override->figure,
                    'value' => $override->value,
                    'why' => $override->why,
                ],
                $job->overrides->all,
            ),
        ];
    }

    public static function toJson(Job $job): string
    {
        return json_encode(
            self::toArray($job),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        )."\n";
    }

    /** @return array<string, mixed> nothing where nothing was answered */
    private static function intake(?IntakeSpec $intake): array
    {
        $answers = $intake === null ? [] : IntakeWriter::toArray($intake);

        return $answers === [] ? [] : ['intake' => $answers];
    }

    /** @return array<string, mixed> */
    private static function run(RunSpec $run): array
    {
        return [
            'letter' => $run->letter,
            'name' => $run->name,
            'tube' => $run->tubeId,
            'start' => self::end($run->start),
            'end' => self::end($run->end),
            'route' => $run->route === null ? null : self::route($run->route),
            'fittings' => array_map(static fn (Fitting $fitting): array => [
                'kind' => $fitting->kind->value,
                'station' => $fitting->station->entered(),
                'fromTop' => $fitting->fromTopDeg,
                ...$fitting->length === null ? [] : ['length' => $fitting->length->entered()],
                ...$fitting->saidMetal() === null ? [] : ['metal' => $fitting->saidMetal()],
            ], $run->fittings),
            ...$run->isThere ? ['there' => true] : [],
        ];
    }

    /** @return array<string, mixed> */
    public static function route(RouteChoice $route): array
    {
        return [
            'bends' => array_map(static fn (RouteRow $row): array => [
                'straight' => $row->straight->entered(),
                'rotation' => $row->rotationDeg,
                'angle' => $row->angleDeg,
                'clr' => $row->clr->entered(),
                ...($row->locked === [] ? [] : ['locked' => $row->locked]),
                ...($row->pieWelds === 0 ? [] : ['pie' => $row->pieWelds]),
            ], $route->rows),
            'endStraight' => $route->endStraight->entered(),
            ...($route->endLocked ? ['endLocked' => true] : []),
            ...($route->cuts === null ? [] : ['cuts' => [
                'joints' => array_map(
                    static fn (Length $at): string|float => $at->entered(),
                    $route->cuts->joints,
                ),
                ...($route->cuts->stock === [] ? [] : ['stock' => $route->cuts->stock]),
            ]]),
        ];
    }

    /** @return array<string, mixed> */
    private static function bore(Bore $bore): array
    {
        return [
            'shape' => $bore->shape->value,
            'width' => $bore->width->entered(),
            ...($bore->shape === BoreShape::Round ? [] : ['height' => $bore->height->entered()]),
            ...($bore->shape === BoreShape::Rectangle ? ['corner' => $bore->corner->entered()] : []),
            'turn' => $bore->turnDeg,
        ];
    }

    /** @return array<string, mixed> */
    private static function plate(PlateSpec $plate): array
    {
        $line = static fn (Path $one): array => array_map(
            static fn (array $at): array => array_map(static fn (float $part): float => round($part, 6), $at),
            $one->vertices,
        );

        return ['outline' => $line($plate->outline), 'openings' => array_map($line, $plate->openings)];
    }

    /** @return array<string, mixed> */
    private static function saddle(SaddleSpec $saddle): array
    {
        return [
            'on' => $saddle->on,
            'station' => $saddle->station->entered(),
            'fromTop' => $saddle->fromTopDeg,
            'angle' => $saddle->angleDeg,
            'offset' => $saddle->offset->entered(),
            'seat' => $saddle->seat->value,
            ...$saddle->stub === null ? [] : ['stub' => $saddle->stub->entered()],
        ];
    }

    /** @return array<string, mixed> */
    private static function end(RunEnd $end): array
    {
        return [
            'kind' => $end->kind->value,
            'name' => $end->name,
            'at' => Points::entered($end->at),
            'direction' => $end->direction->toArray(),
            ...($end->up === null ? [] : ['up' => $end->up->toArray()]),
            'metal' => $end->metal,
            'wall' => $end->wall->entered(),
            ...$end->bolts === null
                ? []
                : [
                    'bolts' => [
                        'count' => $end->bolts->count,
                        'circle' => $end->bolts->circle->entered(),
                        'turn' => $end->bolts->turnDeg,
                        'flats' => $end->bolts->flats->entered(),
                    ],
                ],
            ...$end->bore === null ? [] : ['bore' => self::bore($end->bore)],
            ...$end->plate === null ? [] : ['plate' => self::plate($end->plate)],
            ...$end->isFree ? ['free' => true] : [],
            ...$end->slant === null
                ? []
                : ['slant' => ['angle' => $end->slant->angleDeg, 'turn' => $end->slant->turnDeg]],
            ...$end->saddle === null ? [] : ['saddle' => self::saddle($end->saddle)],
        ];
    }
}
