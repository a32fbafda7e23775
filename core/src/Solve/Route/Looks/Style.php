<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Looks;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Run\Centreline;
use UpsweptBead\Core\Solve\Run\TubeRun;

/**
 * What people see in a set and pay for, as figures: how even the gaps between neighbours are, how flat each run lies,
 * how well two banks mirror each other. All in mm.
 */
final readonly class Style
{
    private const EVERY_MM = 20.0;

    /** Steps along a run between the places that are looked at. */
    private const STEPS = 24;

    /**
     * @param  ?float  $gapSpreadMm  widest less narrowest of the gaps that neighbouring runs keep on average; null
     *   below three in a row
     * @param  array<string, float>  $flatnessMm  of each run, from the best plane through its centreline: peak to
     *   valley
     * @param  ?float  $mirrorMm  the furthest that one bank lies from the other's mirror image; null if they are no two
     *   banks
     */
    private function __construct(public ?float $gapSpreadMm, public array $flatnessMm, public ?float $mirrorMm) {}

    /**
     * @param  array<string, TubeRun>  $runs  by letter
     * @param  array<string, float>  $odMm  of each
     */
    public static function of(array $runs, array $odMm): self
    {
        $starts = array_values(
            array_map(static fn (TubeRun $run): array => [$run->start->at, $run->start->forward], $runs),
        );
        $laidOut = array_map(Centreline::of(...), $runs);
        $lines = array_values(array_map(static fn (Centreline $line): array => $line->inSteps(self::STEPS), $laidOut));
        $ends = array_map(static fn (array $line): Vector => $line[self::STEPS], $lines);

        return new self(
            Row::of(array_column($starts, 0))->gapSpreadMm($lines, array_values($odMm)),
            array_map(self::flatness(...), $laidOut),
            Mirror::of($starts, $ends)?->errorMm($lines),
        );
    }

    /**
     * Peak to valley from the plane that fits best: the axis with the least scatter, by turning the frame until none
     * is left.
     */
    private static function flatness(Centreline $line): float
    {
        $points = $line->points(self::EVERY_MM);
        $normal = self::leastAxis($points);
        $heights = array_map(static fn (Vector $point): float => $point->dot($normal), $points);

        return max($heights) - min($heights);
    }

    /**
     * The direction in which points scatter least: smallest eigenvector of their covariance, by Jacobi's rotations.
     *
     * @param  non-empty-list<Vector>  $points
     */
    private static function leastAxis(array $points): Vector
    {
        $mean = [0.0, 0.0, 0.0];
        foreach ($points as $point) {
            foreach ($point->toArray() as $k => $x) {
                $mean[$k] += $x / count($points);
            }
        }
        $m = [[0.0, 0.0, 0.0], [0.0, 0.0, 0.0], [0.0, 0.0, 0.0]];
        foreach ($points as $point) {
            $p = $point->toArray();
            for ($i = 0; $i < 3; $i++) {
                for ($j = 0; $j < 3; $j++) {
                    $m[$i][$j] += ($p[$i] - $mean[$i]) * ($p[$j] - $mean[$j]);
                }
            }
        }
        $v = [[1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.0, 0.0, 1.0]];
        for ($sweep = 0; $sweep < 30; $sweep++) {
            foreach ([[0, 1], [0, 2], [1, 2]] as [$p, $q]) {
                if (abs($m[$p][$q]) < 1e-12) {
                    continue;
                }
                $angle = atan2(2 * $m[$p][$q], $m[$q][$q] - $m[$p][$p]) / 2;
                [$c, $s] = [cos($angle), sin($angle)];
                for ($k = 0; $k < 3; $k++) {
                    [$m[$k][$p], $m[$k][$q]] = [$c * $m[$k][$p] - $s * $m[$k][$q], $s * $m[$k][$p] + $c * $m[$k][$q]];
                }
                for ($k = 0; $k < 3; $k++) {
                    [$m[$p][$k], $m[$q][$k]] = [$c * $m[$p][$k] - $s * $m[$q][$k], $s * $m[$p][$k] + $c * $m[$q][$k]];
                    [$v[$k][$p], $v[$k][$q]] = [$c * $v[$k][$p] - $s * $v[$k][$q], $s * $v[$k][$p] + $c * $v[$k][$q]];
                }
            }
        }
        $least = 0;
        foreach ([1, 2] as $i) {
            $least = $m[$i][$i] < $m[$least][$least] ? $i : $least;
        }

        return new Vector($v[0][$least], $v[1][$least], $v[2][$least]);
    }
}
