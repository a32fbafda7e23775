<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Learning;

/** What one logged reading says of a rule: the value that the rule should have had for it. */
final readonly class LoggedCase
{
    /** After a longer pause between two entries of one person, something else was done in between; common practice. */
    public const MOST_MINUTES = 120.0;

    /** A reading nearer to the air than this (K) says nothing of how fast a seam cooled; our own figure. */
    private const LEAST_OVER_AIR_K = 5.0;

    /** A gap that no feeler gauge goes into; our own figure. */
    private const LEAST_GAP_MM = 0.02;

    /**
     * For a rule that the planned value is proportional to.
     *
     * @return ?float null where nothing was planned
     */
    public static function proportional(float $rule, float $read, float $planned): ?float
    {
        return $planned > 0.0 ? $rule * $read / $planned : null;
    }

    /** Whether a seam's temperature, read so long after its arc, says how fast the shop cools. */
    public static function tellsOfCooling(float $readC, float $airC, float $tookS): bool
    {
        return $readC >= $airC + self::LEAST_OVER_AIR_K && $tookS > 0.0 && $tookS < 60 * self::MOST_MINUTES;
    }

    public static function gapMm(float $readMm): float
    {
        return max(self::LEAST_GAP_MM, $readMm);
    }
}
