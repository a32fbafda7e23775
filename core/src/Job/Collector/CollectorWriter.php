<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

use UpsweptBead\Core\Job\Points;

/** Writes the collectors of a job. */
final readonly class CollectorWriter
{
    /** @return array<string, mixed> */
    public static function toArray(CollectorSpec $one): array
    {
        return [
            'name' => $one->name,
            'runs' => $one->runs,
            'assignment' => $one->mode->value,
            'firing' => $one->firing,
            ...$one->entry === CollectorEntry::Welded ? [] : ['entry' => $one->entry->value],
            ...$one->build === null ? [] : ['build' => self::build($one->build)],
        ];
    }

    /** @return array<string, mixed> */
    private static function build(CollectorBuild $one): array
    {
        return [
            'letter' => $one->letter,
            'make' => $one->make->value,
            'inlets' => $one->inlets,
            'tube' => $one->tubeId,
            'at' => Points::entered($one->at),
            'axis' => $one->axis->toArray(),
            'turn' => $one->turnDeg,
            ...$one->bendId === null ? [] : ['bend' => $one->bendId],
            ...$one->outletTubeId === null ? [] : ['outlet' => $one->outletTubeId],
            ...$one->poses === []
                ? []
                : [
                    'poses' => array_map(
                        static fn (InletPose $pose): array => [
                            'at' => Points::entered($pose->at),
                            'direction' => $pose->direction->toArray(),
                        ],
                        $one->poses,
                    ),
                ],
            ...$one->into === null ? [] : ['into' => $one->into],
            ...$one->part === null
                ? []
                : [
                    'part' => [
                        'kind' => $one->part->kind->value,
                        'name' => $one->part->name,
                        'metal' => $one->part->metal,
                        'wall' => $one->part->wall->entered(),
                    ],
                ],
        ];
    }
}
