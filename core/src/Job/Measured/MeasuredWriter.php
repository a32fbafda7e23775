<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Measured;

use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Points;
use UpsweptBead\Core\Solve\Adjust\ReadingKind;

/** Writes what was measured, as it was read. */
final readonly class MeasuredWriter
{
    /** @return array<string, mixed> */
    public static function toArray(MeasuredSpec $measured): array
    {
        return [
            'points' => array_map(static fn (MeasuredPoint $one): array => [
                'name' => $one->name,
                ...$one->at === null ? [] : ['at' => Points::entered($one->at)],
                ...self::way('side', $one->side),
            ], $measured->points),
            'ends' => array_map(static fn (MeasuredEnd $one): array => [
                'run' => $one->letter,
                'isStart' => $one->isStart,
                'place' => $one->hasPlace,
                'direction' => $one->hasDirection,
                ...self::way('side', $one->side),
                ...self::way('facing', $one->facing),
            ], $measured->ends),
            'readings' => array_map(self::reading(...), $measured->readings),
        ];
    }

    /** @return array<string, mixed> */
    public static function reading(ReadingSpec $one): array
    {
        $values = array_map(static fn (Length $length): string|float => $length->entered(), $one->lengths);
        $isWhole = $one->kind === ReadingKind::Offset && $one->way === null;

        return [
            'id' => $one->id,
            'kind' => $one->kind->value,
            'tool' => $one->tool->value,
            'of' => $one->of,
            ...$one->with === [] ? [] : ['with' => $one->with],
            ...self::way('way', $one->way),
            ...self::way('toward', $one->toward),
            ...$one->isOther ? ['isOther' => true] : [],
            ...$values === [] ? [] : ['value' => $isWhole ? $values : $values[0]],
            ...$one->angleDeg === null ? [] : ['value' => $one->angleDeg],
            ...$one->points === [] ? [] : ['points' => array_map(
                static fn (array|string $point): array|string => is_string($point) ? $point : Points::entered($point),
                $one->points,
            )],
            ...$one->tolerance === null ? [] : [
                'tolerance' => $one->tolerance instanceof Length ? $one->tolerance->entered() : $one->tolerance,
            ],
            ...$one->isLeftOut ? ['leftOut' => true] : [],
        ];
    }

    /** @return array<string, string> */
    private static function way(string $key, ?Way $way): array
    {
        return $way === null ? [] : [$key => $way->value];
    }
}
