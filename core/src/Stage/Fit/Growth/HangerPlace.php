<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Growth;

use UpsweptBead\Core\Solve\Run\TubeRun;

/** Where a new hanger is proposed on a run: in the middle of its longest straight that is free of seams and fittings. */
final readonly class HangerPlace
{
    /** What a hanger's foot and its weld keep from a seam or a fitting, mm; our own figure. */
    private const CLEAR_MM = 30.0;

    /**
     * @param  list<float>  $takenMm  stations of seams, bungs, brackets and hangers
     * @return float its station, mm from the start of the run; the middle of the run where no straight is free
     */
    public static function stationMm(TubeRun $run, array $takenMm): float
    {
        [$longest, $best] = [0.0, $run->lengthMm() / 2];
        foreach (self::free($run, $takenMm) as [$from, $to]) {
            if ($to - $from > $longest) {
                [$longest, $best] = [$to - $from, ($from + $to) / 2];
            }
        }

        return $best;
    }

    /**
     * @param  list<float>  $takenMm
     * @return list<array{float, float}> stretches of straight tube between which nothing is welded on
     */
    private static function free(TubeRun $run, array $takenMm): array
    {
        $stretches = [];
        $at = 0.0;
        foreach ($run->straightsMm() as $i => $straightMm) {
            $stretches[] = [$at, $at + $straightMm];
            $at += $straightMm + (isset($run->bends[$i]) ? $run->bends[$i]->arcMm() : 0.0);
        }
        foreach ($takenMm as $taken) {
            $stretches = array_merge(...array_map(
                static fn (array $one): array => [
                    [$one[0], min($one[1], $taken - self::CLEAR_MM)],
                    [max($one[0], $taken + self::CLEAR_MM), $one[1]],
                ],
                $stretches,
            ));
            $stretches = array_values(array_filter($stretches, static fn (array $one): bool => $one[1] > $one[0]));
        }

        return $stretches;
    }
}
