<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use UpsweptBead\Core\Stage\Device\Trace;

/** What an instrument read in the course of a step, for paper, with what was planned as a broken line. */
final readonly class TraceSvg
{
    private const WIDE = 220.0;

    private const HIGH = 70.0;

    private const MARGIN = 6.0;

    /** More points than these cannot be told apart on paper. */
    private const MOST_POINTS = 160;

    /** Oxygen falls over orders of magnitude: its logarithm is drawn. */
    private const LEAST_PPM = 1.0;

    /** @param  float|null  $planned  in the unit of the trace */
    public static function of(Trace $trace, ?float $planned): string
    {
        $isLog = $trace->device === 'oxygen';
        $shown = static fn (float $value): float => $isLog ? log10(max(self::LEAST_PPM, $value)) : $value;
        $every = max(1, (int) ceil(count($trace->values) / self::MOST_POINTS));
        $values = [];
        foreach ($trace->values as $i => $value) {
            if ($i % $every === 0) {
                $values[] = $shown($value);
            }
        }
        $all = $planned === null ? $values : [...$values, $shown($planned)];
        if ($all === [] || $values === []) {
            return Svg::drawing((int) self::WIDE, (int) self::HIGH, []);
        }
        [$low, $high] = [min(0.0, ...$all), max($all)];
        $y = static fn (float $value): float => self::HIGH - self::MARGIN
            - (self::HIGH - 2 * self::MARGIN) * ($value - $low) / max(1e-9, $high - $low);
        $points = [];
        foreach ($values as $i => $value) {
            $points[] = [self::WIDE * $i / max(1, count($values) - 1), $y($value)];
        }
        $bottom = self::HIGH - self::MARGIN;
        $parts = [Svg::line([[0.0, $bottom], [self::WIDE, $bottom]], '#8796a1', 0.5)];
        if ($planned !== null) {
            $at = $y($shown($planned));
            $parts[] = Svg::line([[0.0, $at], [self::WIDE, $at]], '#07645d', 1.0, 'stroke-dasharray="5 3"');
        }
        $parts[] = Svg::line($points, Svg::INK, 1.2);

        return Svg::drawing((int) self::WIDE, (int) self::HIGH, $parts);
    }
}
