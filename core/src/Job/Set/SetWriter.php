<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Set;

use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Collector\CollectorWriter;
use UpsweptBead\Core\Job\Collector\OutletLimit;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\KeepOut\KeepOutShape;
use UpsweptBead\Core\Job\KeepOut\KeepOutSpec;
use UpsweptBead\Core\Job\Part\HangerSpec;
use UpsweptBead\Core\Job\Part\PartSpec;
use UpsweptBead\Core\Job\Run\BendPlane;
use UpsweptBead\Core\Job\Run\LengthSpec;
use UpsweptBead\Core\Job\Run\RoutingSpec;

/** Writes what holds for the runs of a job together. */
final readonly class SetWriter
{
    /** @return array<string, mixed> */
    public static function toArray(SetSpec $set): array
    {
        return [
            'collectors' => array_map(CollectorWriter::toArray(...), $set->collectors),
            'keepOuts' => array_map(self::keepOut(...), $set->keepOuts),
            'lengths' => array_map(
                static fn (LengthSpec $one): array => [
                    'runs' => $one->runs,
                    'target' => $one->target === null ? null : $one->target->entered(),
                    'tolerance' => $one->tolerancePercent,
                ],
                $set->lengths,
            ),
            ...$set->routing->isEmpty() ? [] : ['routing' => self::routing($set->routing)],
            ...$set->outlets === []
                ? []
                : [
                    'outlets' => array_map(
                        static fn (OutletLimit $one): array => [
                            'name' => $one->name,
                            'axis' => $one->axis->value,
                            ...$one->least === null ? [] : ['least' => $one->least->entered()],
                            ...$one->most === null ? [] : ['most' => $one->most->entered()],
                        ],
                        $set->outlets,
                    ),
                ],
            ...$set->polished === [] ? [] : ['polished' => $set->polished],
            ...$set->stubs === [] ? [] : ['stubs' => $set->stubs],
            ...$set->parts === [] ? [] : ['parts' => array_map(self::part(...), $set->parts)],
            ...$set->hangers === [] ? [] : ['hangers' => array_map(static fn (HangerSpec $one): array => [
                'name' => $one->name,
                'run' => $one->run,
                'station' => $one->station->entered(),
            ], $set->hangers)],
            ...$set->designs === [] ? [] : ['designs' => array_map(self::design(...), $set->designs)],
        ];
    }

    /** @return array<string, mixed> */
    private static function part(PartSpec $one): array
    {
        return [
            'name' => $one->name,
            'kind' => $one->kind->value,
            'inlet' => $one->inlet,
            ...array_filter([
                'mass' => $one->massKg > 0.0 ? $one->massEntered() : null,
                'oneWay' => $one->isOneWay ? true : null,
                'against' => $one->isAgainst ? true : null,
                'cast' => $one->isCast,
                'bore' => $one->bore?->entered(),
                'seat' => $one->seat?->entered(),
                'wall' => $one->wall?->entered(),
                'square' => $one->squareDeg,
                'brought' => $one->isBrought ? true : null,
                'length' => $one->length?->entered(),
                'width' => $one->width?->entered(),
                'outlet' => $one->outlet === '' ? null : $one->outlet,
            ], static fn (mixed $value): bool => $value !== null),
        ];
    }

    /** @return array<string, mixed> */
    private static function routing(RoutingSpec $one): array
    {
        return array_filter(
            [
                'firstStraight' => $one->firstStraight?->entered(),
                'innerStraight' => $one->innerStraight?->entered(),
                'lastStraight' => $one->lastStraight?->entered(),
                'gap' => $one->gap?->entered(),
                'maxBends' => $one->maxBends,
                'prefer' => $one->prefer->value,
                'planes' => $one->planes === []
                        ? null
                        : array_map(static fn (BendPlane $plane): string => $plane->value, $one->planes),
                'evenGaps' => $one->evenGaps ? true : null,
                'mirrored' => $one->mirrored ? true : null,
            ],
            static fn (mixed $value): bool => $value !== null,
        );
    }

    /** @return array<string, mixed> */
    public static function design(DesignSpec $one): array
    {
        return [
            'name' => $one->name,
            'note' => $one->note,
            'runs' => array_map(static fn (DesignRun $run): array => [
                'letter' => $run->letter,
                'at' => array_map(static fn (Length $length): string|float => $length->entered(), $run->at),
                'direction' => $run->direction->toArray(),
                'route' => JobWriter::route($run->route),
            ], $one->runs),
        ];
    }

    /** @return array<string, mixed> */
    public static function keepOut(KeepOutSpec $one): array
    {
        return [
            'name' => $one->name,
            'kind' => $one->kind->value,
            'shape' => $one->shape->value,
            'at' => array_map(static fn (Length $length): string|float => $length->entered(), $one->at),
            ...$one->shape->isBar()
                ? [
                    'to' => array_map(static fn (Length $length): string|float => $length->entered(), $one->to),
                    'radius' => $one->radius->entered(),
                ]
                : ['direction' => $one->direction->toArray()],
            ...$one->shape === KeepOutShape::Box
                ? ['size' => array_map(static fn (Length $length): string|float => $length->entered(), $one->size)]
                : [],
            ...$one->mesh === null ? [] : ['mesh' => $one->mesh],
            'clearance' => $one->clearance === null ? null : $one->clearance->entered(),
            'note' => $one->note,
        ];
    }
}
