<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

use UpsweptBead\Core\Solve\Nest\Problem\CutProblem;

/** Puts the plans of all tubes together: copies get their numbers, pieces of straight stock their places. */
final readonly class CutAnswers
{
    /** @param  array<array-key, TubeCutting>  $cuttings  by tube */
    public static function of(CutProblem $problem, array $cuttings, float $bound): CutAnswer
    {
        $byRun = $opened = [];
        $cuts = $joints = 0;
        $cost = 0.0;
        foreach ($cuttings as $cutting) {
            $numbers = [];
            foreach ($cutting->copies as $key => $copy) {
                $item = $copy->donor->item;
                $opened[$item->id] = ($opened[$item->id] ?? 0) + 1;
                $numbers[$key] = $opened[$item->id];
                $cuts += $copy->cuts;
                $cost += $item->cost + $copy->cuts * $problem->rules->cutCost;
            }
            $next = array_map(static fn (OpenCopy $copy): float => $copy->donor->fromMm, $cutting->copies);
            foreach ($cutting->placed as $run => $placed) {
                $joints += count($placed) - 1;
                foreach ($placed as $one) {
                    $donor = $cutting->copies[$one->key]->donor;
                    $atMm = $donor->clrMm === 0.0 ? $next[$one->key] : $one->atMm;
                    $next[$one->key] += $one->part->cutMm + $problem->rules->kerfMm;
                    $byRun[$run][] = new CutPiece(
                        $problem->runs[$run]->id,
                        $one->part->fromMm,
                        $one->part->toMm,
                        $donor->item->id,
                        $numbers[$one->key],
                        $atMm,
                        $atMm + $one->part->cutMm,
                        $one->reversed,
                    );
                }
            }
        }
        ksort($byRun);
        ksort($opened);
        $cost += $joints * $problem->rules->jointCost;

        $pieces = array_merge(...$byRun);

        return new CutAnswer(CutStatus::Solved, $pieces, $joints, $cuts, $opened, $cost, min($bound, $cost));
    }
}
