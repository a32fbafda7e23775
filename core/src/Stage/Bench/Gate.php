<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Base\Flatness\Flatness;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Stage\Bench\Inspection\InspectedJoint;

/**
 * The reasons not to go on from a step: a reading was not taken, lies above its limit or is not as planned, a point was
 * not confirmed. Whoever
 * goes on all the same says why, and the record keeps it.
 */
final readonly class Gate
{
    public const MOST_REASON = 500;

    /**
     * @param  array<string, float>  $values  read, by the measure's name, in the base unit
     * @param  list<int>  $points  that were confirmed, counted from 0
     * @return list<string> in words; empty where nothing does
     */
    public static function lacks(BenchStep $step, array $values, array $points, UnitSystem $units): array
    {
        return [
            ...self::above($step, $values, $units),
            ...self::off($step, $values, $units),
            ...self::outOfFlat($step, $values, $units),
            ...array_map(
                static fn (Measure $one): string => "$one->label was not read.",
                array_values(array_filter(
                    $step->measures,
                    static fn (Measure $one): bool => $one->isAsked && ! isset($values[$one->name]),
                )),
            ),
            ...array_map(
                static fn (string $point): string => "Not confirmed: $point",
                array_values(array_diff_key($step->points, array_flip($points))),
            ),
        ];
    }

    /**
     * Whether something that a step asks for was left out, not read or not confirmed; else it was only gone past.
     *
     * @param  array<string, float>  $values
     * @param  list<int>  $points  that were confirmed
     */
    public static function isSkipped(BenchStep $step, array $values, array $points): bool
    {
        foreach ($step->measures as $one) {
            if ($one->isAsked && ! isset($values[$one->name])) {
                return true;
            }
        }

        return array_diff_key($step->points, array_flip($points)) !== [];
    }

    /**
     * @param  array<string, float>  $values
     * @return list<string>
     */
    private static function outOfFlat(BenchStep $step, array $values, UnitSystem $units): array
    {
        if ($step->face === null) {
            return [];
        }
        $found = $step->face->judge($values);
        $show = static fn (float $mm): string => Quantity::Wall->show($mm, $units);

        return match (true) {
            $found === null => [sprintf(
                'Fewer than %d points of the face were read, or all on one line.',
                Flatness::LEAST_POINTS,
            )],
            $found->isFlat() => [],
            default => ["Out of flat: {$show($found->peakToValleyMm)}, at most {$show($found->limitMm)}."],
        };
    }

    /** @return list<string> where less is done about a joint than what was found at it asks for */
    public static function tooLittle(BenchStep $step, ?InspectedJoint $found): array
    {
        if ($step->inspection === null || $found === null) {
            return [];
        }
        $least = $step->inspection->least($found);

        return $found->outcome->isLessThan($least)
            ? ["What was found asks for more than \"{$found->outcome->label()}\": {$least->label()}."]
            : [];
    }

    /**
     * @param  array<string, float>  $values
     * @return list<string> readings that are farther from the plan than they may be
     */
    public static function off(BenchStep $step, array $values, UnitSystem $units): array
    {
        $lines = [];
        foreach ($step->measures as $one) {
            if (! self::isMeasureOff($one, $values)) {
                continue;
            }
            [$read, $planned] = [$values[$one->name], $one->planned ?? 0.0];
            $lines[] = sprintf(
                '%s: %s, planned %s: %s too %s.',
                $one->label,
                $one->quantity->show($read, $units),
                $one->quantity->read($planned, $units),
                $one->quantity->read(abs($read - $planned), $units),
                self::side($one, $read < $planned),
            );
        }

        return $lines;
    }

    private static function side(Measure $measure, bool $isLess): string
    {
        [$less, $more] = $measure->name === 'length' ? ['short', 'long'] : ['little', 'much'];

        return $isLess ? $less : $more;
    }

    /** @param  array<string, float>  $values */
    public static function isOff(BenchStep $step, array $values): bool
    {
        $isOff = static fn (Measure $one): bool => self::isMeasureOff($one, $values);

        return array_filter($step->measures, $isOff) !== [];
    }

    /** @param  array<string, float>  $values */
    private static function isMeasureOff(Measure $measure, array $values): bool
    {
        $range = $measure->range();
        $read = $values[$measure->name] ?? null;

        return $range !== null && $read !== null && ($read < $range[0] - 1e-9 || $read > $range[1] + 1e-9);
    }

    /**
     * @param  array<string, float>  $values
     * @return list<string> readings above their limits
     */
    public static function above(BenchStep $step, array $values, UnitSystem $units): array
    {
        $lines = [];
        foreach ($step->measures as $one) {
            $read = $values[$one->name] ?? null;
            if ($read !== null && $one->most !== null && $read > $one->most + 1e-9) {
                $show = static fn (float $value): string => $one->quantity->show($value, $units);
                $lines[] = "$one->label: {$show($read)}, at most {$show($one->most)}.";
            }
        }

        return $lines;
    }
}
