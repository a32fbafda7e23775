<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\Piece;

/** The pieces of a job as plain CSV, in the order of flow of each run. Millimetres and degrees. */
final readonly class CutListTable
{
    private const HEADING = 'run,piece,stock,copy,cut_mm,finished_mm,leg_before_mm,turn_deg,angle_deg,clr_mm,leg_after_mm,'
        .'long_start_mm,long_end_mm,start,end';

    public static function write(CutPlan $cut): string
    {
        $lines = [self::HEADING];
        foreach ([...$cut->pieces, ...$cut->ofCollectors] as $pieces) {
            foreach ($pieces as $piece) {
                $lines[] = self::line($piece);
            }
        }

        return implode("\n", $lines)."\n";
    }

    private static function line(Piece $piece): string
    {
        $span = $piece->span;
        $allowances = $piece->allowances;

        return implode(',', [
            $piece->run,
            $piece->mark,
            $piece->place->stockId ?? '',
            $piece->place->copy ?? '',
            sprintf('%.4f', $piece->cutLengthMm()),
            sprintf('%.4f', $span->lengthMm()),
            ...$piece->isBend()
                ? [
                    sprintf('%.4f', $span->legBeforeMm),
                    sprintf('%.5f', $piece->clocking->turnDeg ?? 0.0),
                    sprintf('%.5f', $piece->angleDeg),
                    sprintf('%.4f', $piece->clrMm),
                    sprintf('%.4f', $span->legAfterMm),
                ]
                : ['', '', '', '', ''],
            sprintf('%.4f', $allowances->startMm),
            sprintf('%.4f', $allowances->endMm()),
            str_replace(',', ';', $piece->startPrep->label()),
            str_replace(',', ';', $piece->endPrep->label()),
        ]);
    }
}
