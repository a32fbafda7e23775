<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Plan\Plan;

/**
 * The runs of a plan as plain CSV for a bender or a drawing: length–rotation–angle, or vertices. Millimetres and
 * degrees.
 */
final readonly class RunTables
{
    /** @param  ?string  $only  a run's letter, null for all */
    public static function lra(Plan $plan, ?string $only = null): string
    {
        $lines = ['run,bend,straight_mm,rotation_deg,angle_deg,clr_mm'];
        foreach (self::runs($plan, $only) as $letter => $run) {
            foreach ($run->bends as $i => $bend) {
                $lines[] = sprintf(
                    '%s,%d,%.3f,%.4f,%.4f,%.3f',
                    $letter,
                    $i + 1,
                    $bend->straightMm,
                    $bend->rotationDeg,
                    $bend->angleDeg,
                    $bend->clrMm,
                );
            }
            $lines[] = sprintf('%s,end,%.3f,,,', $letter, $run->endStraightMm);
        }

        return implode("\n", $lines)."\n";
    }

    /**
     * @param  ?string  $only  a run's letter, null for all
     *
     * @throws \DomainException if a run has a half turn, which has no vertex
     */
    public static function xyz(Plan $plan, ?string $only = null): string
    {
        $lines = ['run,point,x_mm,y_mm,z_mm,clr_mm'];
        foreach (self::runs($plan, $only) as $letter => $run) {
            foreach ($run->toXyz() as $i => $point) {
                $clr = $run->bends[$i - 1] ?? null;
                $lines[] = sprintf(
                    '%s,%d,%.3f,%.3f,%.3f,%s',
                    $letter,
                    $i,
                    $point->x,
                    $point->y,
                    $point->z,
                    $clr === null ? '' : sprintf('%.3f', $clr->clrMm),
                );
            }
        }

        return implode("\n", $lines)."\n";
    }

    /** @return array<string, TubeRun> */
    private static function runs(Plan $plan, ?string $only): array
    {
        $runs = [];
        foreach ($plan->layout->runs as $one) {
            if ($only === null || $one->spec->letter === $only) {
                $runs[$one->spec->letter] = $one->run;
            }
        }

        return $runs;
    }
}
