<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

/**
 * Where argon runs out and air is drawn in. Argon is heavier than air, so that inside a filled piece the pressure over
 * the air's falls upwards: a low opening that lets it out too easily pulls air in at a high one. Hydrostatics and the
 * orifice equation; all holes together let out what is fed.
 */
final readonly class Draught
{
    /** Density of air at 20 °C and 101.3 kPa (kg/m³), ideal gas. */
    private const AIR_KG_M3 = 1.204;

    private const G = 9.81;

    private const TURNS = 60;

    /** So little air (L/min) is lost in what the argon stirs up. */
    public const NOTHING_L_MIN = 0.02;

    /**
     * How much goes out by each opening, L/min; below 0 is air that comes in.
     *
     * @param  non-empty-array<string, array{float, float}>  $openings  height (mm) and area (mm²)
     * @param  float  $flowLMin  that is fed
     * @return array<string, float>
     */
    public static function flows(array $openings, float $flowLMin): array
    {
        $heights = array_column($openings, 0);
        $lift = (Filling::ARGON_KG_M3 - self::AIR_KG_M3) * self::G / 1000;
        // At the height of the lowest: from what the whole column draws, to what sends all by the smallest hole.
        $least = -$lift * (max($heights) - min($heights)) - 1.0;
        $most = $lift * (max($heights) - min($heights)) + 1.0
            + Filling::pressurePa($flowLMin, min(array_column($openings, 1)));
        $flows = [];
        for ($i = 0; $i < self::TURNS; $i++) {
            $pressure = ($least + $most) / 2;
            $flows = array_map(static fn (array $one): float => self::out(
                $pressure - $lift * ($one[0] - min($heights)),
                $one[1],
            ), $openings);
            if (array_sum($flows) > $flowLMin) {
                $most = $pressure;
            } else {
                $least = $pressure;
            }
        }

        return $flows;
    }

    /**
     * How much air comes in, in L/min.
     *
     * @param  non-empty-array<string, array{float, float}>  $openings
     */
    public static function drawnLMin(array $openings, float $flowLMin): float
    {
        return -array_sum(array_filter(self::flows($openings, $flowLMin), static fn (float $one): bool => $one < 0.0));
    }

    private static function out(float $pressurePa, float $areaMm2): float
    {
        return $pressurePa >= 0.0
            ? Filling::flowLMin($pressurePa, $areaMm2)
            : -Filling::flowLMin(-$pressurePa, $areaMm2) * sqrt(Filling::ARGON_KG_M3 / self::AIR_KG_M3);
    }
}
