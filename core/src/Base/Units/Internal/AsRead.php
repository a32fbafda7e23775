<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Units\Internal;

use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

/**
 * Values rounded to what a person reads them with: a tape to 1/32 in or 0.5 mm from a hand's width on, a flowmeter to
 * whole CFH or half litres, a clock to what it can be waited for, a thermometer to 5° where it is hot. How far is our
 * own figure; that a tape has 1/32 in and a flowmeter's ball is read to a line is common practice.
 */
final readonly class AsRead
{
    /** Shorter than this (mm) a calliper is taken, not a tape. */
    private const TAPE_FROM_MM = 75.0;

    /** Below this (°C) a degree decides whether a hand may rest on it. */
    private const HOT_FROM_C = 100.0;

    /** The value as it is read, in the base unit; it is never rounded to nothing. */
    public static function rounded(Quantity $quantity, float $value, UnitSystem $units): float
    {
        $isInch = $units === UnitSystem::Inch;

        return match ($quantity) {
            Quantity::Length => self::isOnTape($value)
                ? self::to($value, $isInch ? Length::MM_PER_INCH / 32 : 0.5)
                : $value,
            Quantity::Flow => self::flow($value, $isInch ? Quantity::Flow->parse('1', $units) : 0.5),
            // Nobody goes on early for a rounding.
            Quantity::Duration => match (true) {
                $value < 10.0 => $value,
                $value <= 120.0 => self::up($value, 5.0),
                $value < 3600.0 => self::up($value, 60.0),
                default => self::up($value, 300.0),
            },
            Quantity::Temperature => $value < self::HOT_FROM_C ? $value : self::degrees($value, $isInch),
            Quantity::Volume => self::volume($value, $isInch ? Quantity::Volume->parse('1', $units) : 1.0),
            default => $value,
        };
    }

    /** Whether a length (mm) is read off a tape, not a calliper. */
    public static function isOnTape(float $mm): bool
    {
        return abs($mm) >= self::TAPE_FROM_MM;
    }

    private static function to(float $value, float $step): float
    {
        $rounded = $step * round($value / $step);

        return $rounded === 0.0 ? $value : $rounded;
    }

    /** The ball of a flowmeter to a line; a trickle is set more finely, as half a line more is much more of it. */
    private static function flow(float $litresPerMin, float $lineLPerMin): float
    {
        return self::to($litresPerMin, $litresPerMin < 10 * $lineLPerMin ? $lineLPerMin / 5 : $lineLPerMin);
    }

    private static function up(float $value, float $step): float
    {
        return $step * ceil($value / $step - 1e-9);
    }

    private static function degrees(float $celsius, bool $isInch): float
    {
        // Down: a limit never reads higher than it is.
        $down = static fn (float $degrees): float => 5.0 * floor($degrees / 5.0 + 1e-9);

        return $isInch ? ($down($celsius * 1.8 + 32) - 32) / 1.8 : $down($celsius);
    }

    private static function volume(float $litres, float $unitL): float
    {
        return match (true) {
            $litres >= 10 * $unitL => self::to($litres, $unitL),
            $litres >= $unitL => self::to($litres, 0.1 * $unitL),
            default => $litres,
        };
    }
}
