<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\Capsule;
use UpsweptBead\Core\Base\Geometry\Solid\Cylinder;
use UpsweptBead\Core\Base\Geometry\Solid\HalfSpace;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;
use UpsweptBead\Core\Solve\Route\Problem\Inlet;
use UpsweptBead\Core\Solve\Route\Problem\InletRing;
use UpsweptBead\Core\Solve\Route\Problem\LengthGroup;
use UpsweptBead\Core\Solve\Route\Problem\Port;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Solve\Route\Problem\StockBend;

/** Writes a problem in the open route problem format (docs/route-problem.md); the reader reads it back as it was. */
final readonly class RouteProblemWriter
{
    /** @return array<string, mixed> */
    public static function toArray(RouteProblem $problem): array
    {
        $tubes = [];
        foreach ($problem->ports as $port) {
            $tubes[$port->tube->name] = [
                'od' => $port->tube->odMm,
                'bends' => array_map(
                    static fn (StockBend $bend): array => [
                        'radius' => $bend->radiusMm,
                        'max_angle' => $bend->maxAngleDeg,
                        'leg' => $bend->legMm,
                    ],
                    $port->tube->bends,
                ),
            ];
        }
        $rules = $problem->rules;

        return [
            'format' => RouteProblemReader::FORMAT,
            'name' => $problem->name,
            ...self::notes($problem),
            'tubes' => $tubes,
            'rules' => [
                'min_angle' => $rules->limits->minAngleDeg,
                'max_bends' => $rules->maxBends,
                'first_straight' => $rules->limits->firstStraightMm,
                'inner_straight' => $rules->limits->innerStraightMm,
                'last_straight' => $rules->limits->lastStraightMm,
                'gap' => $rules->gapMm,
                'clearance' => $rules->clearanceMm,
                'angle_step' => $rules->limits->grid->stepDeg,
                'angle_window' => $rules->limits->grid->windowDeg,
            ],
            'ports' => array_map(
                static fn (Port $port): array => [
                    'id' => $port->id,
                    'at' => $port->at->toArray(),
                    'dir' => $port->direction->toArray(),
                    'tube' => $port->tube->name,
                ],
                $problem->ports,
            ),
            'collectors' => array_map(self::collector(...), $problem->collectors),
            'keepouts' => array_map(
                self::keepOut(...),
                array_values(
                    array_filter($problem->keepOuts, static fn (KeepOut $one): bool => ! ($one instanceof MeshSolid)),
                ),
            ),
            'lengths' => array_map(
                static fn (LengthGroup $group): array => [
                    'runners' => $group->runners,
                    'target' => $group->targetMm,
                    'tol_pct' => $group->tolerancePercent,
                ],
                $problem->lengths,
            ),
        ];
    }

    /**
     * Meshes have no form in the format; an answer must not pass for one that keeps clear of them.
     *
     * @return array{notes?: string}
     */
    private static function notes(RouteProblem $problem): array
    {
        $meshes = array_map(
            static fn (KeepOut $one): string => $one->id,
            array_filter($problem->keepOuts, static fn (KeepOut $one): bool => $one instanceof MeshSolid),
        );

        return $meshes === []
            ? []
            : [
                'notes' => 'Left out, as they are meshes: '.
                    implode(', ', $meshes).
                    '. Measure an answer against them before it is built.',
            ];
    }

    /** @return array<string, mixed> */
    private static function collector(InletRing $one): array
    {
        $ids = array_map(static fn (Inlet $inlet): string => $inlet->id, $one->inlets);

        return [
            'id' => $one->id,
            'inlets' => array_map(
                static fn (Inlet $inlet): array => [
                    'id' => $inlet->id,
                    'at' => $inlet->at->toArray(),
                    'dir' => $inlet->direction->toArray(),
                ],
                $one->inlets,
            ),
            'assignment' => match ($one->mode) {
                AssignmentMode::Fixed => [
                    'mode' => 'fixed',
                    'map' => (object) array_combine(
                        $one->runners,
                        array_map(static fn (int $place): string => $ids[$place], $one->fixed),
                    ),
                ],
                AssignmentMode::Any => ['mode' => 'any', 'runners' => $one->runners],
                AssignmentMode::Cyclic => ['mode' => 'cyclic', 'order' => $one->runners],
            },
            'near' => ['length' => $one->nearMm, 'gap' => $one->nearGapMm],
        ];
    }

    /** @return array<string, mixed> */
    private static function keepOut(KeepOut $solid): array
    {
        $shape = match (true) {
            $solid instanceof HalfSpace => [
                'type' => 'halfspace',
                'point' => $solid->point->toArray(),
                'normal' => $solid->normal->toArray(),
            ],
            $solid instanceof Box => [
                'type' => 'box', 'centre' => $solid->centre->toArray(),
                'size' => array_map(static fn (float $half): float => 2 * $half, $solid->halfMm),
                'axes' => array_map(static fn (Vector $axis): array => $axis->toArray(), $solid->axes),
            ],
            $solid instanceof Cylinder => [
                'type' => 'cylinder',
                'from' => $solid->from->toArray(),
                'to' => $solid->to->toArray(),
                'radius' => $solid->radiusMm,
            ],
            $solid instanceof Capsule => [
                'type' => 'capsule',
                'from' => $solid->from->toArray(),
                'to' => $solid->to->toArray(),
                'radius' => $solid->radiusMm,
            ],
            default => throw new \LogicException('There is no such kind of keep-out in the format.'),
        };

        return [
            'id' => $solid->id, ...$shape,
            ...($solid->clearanceMm === null ? [] : ['clearance' => $solid->clearanceMm]),
            'exempt_first' => $solid->exemptFirstMm, 'exempt_last' => $solid->exemptLastMm,
        ];
    }
}
