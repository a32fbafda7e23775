<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Units;

use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;

/**
 * Tube wall by Birmingham wire gauge (BWG), in inches.
 *
 * Source: BWG table, from memory. Stainless sheet goes by another scale.
 */
final readonly class TubeGauge
{
    public const WALL_IN = [
        10 => 0.134, 11 => 0.120, 12 => 0.109, 13 => 0.095, 14 => 0.083,
        15 => 0.072, 16 => 0.065, 17 => 0.058, 18 => 0.049, 20 => 0.035,
    ];

    /**
     * Gives the wall in millimetres of a tube gauge.
     *
     * @throws UnreadableQuantity if the gauge is not in the table
     */
    public static function wallMm(float $gauge, string $text): float
    {
        $wallIn = $gauge === floor($gauge) ? (self::WALL_IN[(int) $gauge] ?? null) : null;

        return $wallIn === null
            ? throw UnreadableQuantity::outOfRange(
                'tube gauge',
                $text,
                'one of '.implode(', ', array_keys(self::WALL_IN)),
            )
            : $wallIn * Length::MM_PER_INCH;
    }

    /** Gives the gauge whose wall this is, within half a thousandth of an inch; null if none. */
    public static function nearest(float $wallMm): ?int
    {
        foreach (self::WALL_IN as $gauge => $wallIn) {
            if (abs($wallMm / Length::MM_PER_INCH - $wallIn) <= 0.0005) {
                return $gauge;
            }
        }

        return null;
    }
}
