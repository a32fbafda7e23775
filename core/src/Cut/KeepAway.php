<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

use UpsweptBead\Core\Layout\RoutedRun;

/** Where along a run no joint may lie: round the fittings on its side. Stations in mm. */
final readonly class KeepAway
{
    /** Outside diameter of a bung for an M18 × 1.5 sensor (mm), common practice; probes take less. */
    public const BUNG_OD_MM = 28.0;

    /** No joint closer to a fitting than this many walls beside its edge, common practice. */
    private const CLEAR_WALLS = 5.0;

    /** From the middle of a fitting. */
    public static function clearMm(float $wallMm): float
    {
        return self::BUNG_OD_MM / 2 + self::CLEAR_WALLS * $wallMm;
    }

    /** @return list<array{float, float}> from where to where */
    public static function zones(RoutedRun $run): array
    {
        $clear = self::clearMm($run->tube->wallMm);
        $zones = [];
        foreach ($run->spec->fittings as $fitting) {
            $zones[] = [$fitting->station->mm - $clear, $fitting->station->mm + $clear];
        }

        return $zones;
    }
}
