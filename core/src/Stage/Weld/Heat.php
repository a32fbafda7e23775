<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

/** Arc voltage and heat, by the published conventions for TIG. */
final readonly class Heat
{
    /** Thermal efficiency k of TIG [EN 1011-1]. */
    private const EFFICIENCY = 0.6;

    /** Conventional load voltage U = 10 + 0.04·I in V [IEC 60974-1]. Current in A. */
    public static function arcVolts(float $amps): float
    {
        return 10 + 0.04 * $amps;
    }

    /** Heat input in kJ/mm: k·U·I/(1000·v), v in mm/s [EN 1011-1]. */
    public static function inputKjMm(float $amps, float $travelMmMin): float
    {
        return self::EFFICIENCY * self::arcVolts($amps) * $amps / (1000 * $travelMmMin / 60);
    }
}
