<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

/** The sums of filling a tube with argon. */
final readonly class Filling
{
    /** Oxygen in air (ppm by volume). */
    public const AIR_PPM = 209_500.0;

    /** Density of argon at 20 °C and 101.3 kPa (kg/m³), ideal gas. */
    public const ARGON_KG_M3 = 1.661;

    /** Discharge coefficient of a sharp-edged hole [any textbook of fluid mechanics]. */
    private const DISCHARGE = 0.61;

    /** Oxygen in air (% by volume). */
    private const AIR_PERCENT = 20.95;

    /** Below this share of oxygen in the air a room is unsafe (% by volume). */
    public const SAFE_PERCENT = 19.5;

    /** Air changes until well-mixed air is down to a target: ln(209 500/target). */
    public static function changes(float $targetPpm): float
    {
        return log(self::AIR_PPM / $targetPpm);
    }

    /** What is left after a number of changes of a well-mixed volume (ppm). */
    public static function leftPpm(float $changes): float
    {
        return self::AIR_PPM * exp(-$changes);
    }

    /** Seconds to pass a number of air changes through a volume (L) at a flow (L/min). */
    public static function fillSeconds(float $volumeL, float $changes, float $flowLMin): float
    {
        return (60 * $changes * $volumeL) / $flowLMin;
    }

    /** Pressure in Pa held back by holes of an area at a flow (L/min): Δp = ½ρ(Q/(Cd·A))². */
    public static function pressurePa(float $flowLMin, float $areaMm2): float
    {
        return (self::ARGON_KG_M3 / 2) * ($flowLMin / 60_000 / (self::DISCHARGE * $areaMm2 * 1e-6)) ** 2;
    }

    /** The flow in L/min at which holes of an area hold back a pressure (Pa). */
    public static function flowLMin(float $pressurePa, float $areaMm2): float
    {
        return sqrt((2 * $pressurePa) / self::ARGON_KG_M3) * self::DISCHARGE * $areaMm2 * 1e-6 * 60_000;
    }

    /** Least vent diameter in mm that passes a flow (L/min) at no more than a pressure (Pa). */
    public static function ventMm(float $flowLMin, float $pressurePa): float
    {
        return sqrt((4 / M_PI) * ($flowLMin / self::flowLMin($pressurePa, 1.0)));
    }

    /** Pressure in Pa held back by a vent of a diameter (mm) at a flow (L/min). */
    public static function ventPressurePa(float $flowLMin, float $ventMm): float
    {
        return self::pressurePa($flowLMin, (M_PI / 4) * $ventMm ** 2);
    }

    /** The closed room, in L, that this much argon (L) would take below 19.5 % oxygen if it mixed. */
    public static function roomL(float $argonL): float
    {
        return ($argonL * self::AIR_PERCENT) / (self::AIR_PERCENT - self::SAFE_PERCENT);
    }
}
