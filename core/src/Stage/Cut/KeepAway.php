<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Job\Run\FittingKind;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/** Where along a run no joint may lie: round the fittings on its side. Stations in mm. */
final readonly class KeepAway
{
    /** No joint closer to a fitting than this many walls beside its edge, common practice. */
    private const CLEAR_WALLS = 5.0;

    /** From the middle of a fitting. */
    public static function clearMm(FittingKind $kind, float $wallMm): float
    {
        return $kind->odMm() / 2 + self::CLEAR_WALLS * $wallMm;
    }

    /** @return list<array{float, float}> from where to where */
    public static function zones(RoutedRun $run): array
    {
        $zones = [];
        foreach ($run->spec->fittings as $fitting) {
            $clear = self::clearMm($fitting->kind, $run->tube->wallMm);
            $zones[] = [$fitting->station->mm - $clear, $fitting->station->mm + $clear];
        }

        return $zones;
    }
}
