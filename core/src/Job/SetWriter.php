<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Units\Length;

/** Writes what holds for the runs of a job together. */
final readonly class SetWriter
{
    /** @return array<string, mixed> */
    public static function toArray(SetSpec $set): array
    {
        return [
            'collectors' => array_map(static fn (CollectorSpec $one): array => [
                'name' => $one->name, 'runs' => $one->runs, 'assignment' => $one->mode->value, 'firing' => $one->firing,
            ], $set->collectors),
            'keepOuts' => array_map(self::keepOut(...), $set->keepOuts),
            'lengths' => array_map(static fn (LengthSpec $one): array => [
                'runs' => $one->runs, 'target' => $one->target === null ? null : self::length($one->target), 'tolerance' => $one->tolerancePercent,
            ], $set->lengths),
        ];
    }

    /** @return array<string, mixed> */
    private static function keepOut(KeepOutSpec $one): array
    {
        $isBar = $one->shape === KeepOutShape::Cylinder || $one->shape === KeepOutShape::Capsule;

        return [
            'name' => $one->name,
            'kind' => $one->kind->value,
            'shape' => $one->shape->value,
            'at' => array_map(self::length(...), $one->at),
            ...($isBar ? ['to' => array_map(self::length(...), $one->to), 'radius' => self::length($one->radius)] : ['direction' => $one->direction->toArray()]),
            ...($one->shape === KeepOutShape::Box ? ['size' => array_map(self::length(...), $one->size)] : []),
            'clearance' => $one->clearance === null ? null : self::length($one->clearance),
            'note' => $one->note,
        ];
    }

    private static function length(Length $length): string|float
    {
        return $length->written ?? $length->mm;
    }
}
