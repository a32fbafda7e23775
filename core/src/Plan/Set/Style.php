<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Set;

use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Run\TubeRun;

/**
 * What people see in a set and pay for, as figures: how even the gaps between neighbours are, how flat each run lies, how
 * well two banks mirror each other. All in mm.
 */
final readonly class Style
{
    private const EVERY_MM = 20.0;

    /**
     * @param  ?float  $gapSpreadMm  widest less narrowest of the least gaps between neighbouring runs; null below three runs
     * @param  array<string, float>  $flatnessMm  of each run, from the best plane through its centreline: peak to valley
     * @param  ?float  $mirrorMm  the furthest that one bank lies from the other's mirror image; null if they are no two banks
     */
    private function __construct(public ?float $gapSpreadMm, public array $flatnessMm, public ?float $mirrorMm) {}

    /**
     * @param  array<string, TubeRun>  $runs  by letter
     * @param  list<Gap>  $gaps
     */
    public static function of(array $runs, array $gaps): self
    {
        return new self(self::gapSpread($runs, $gaps), array_map(self::flatness(...), $runs), self::mirror($runs));
    }

    /**
     * Neighbours are ports next to each other along the row.
     *
     * @param  array<string, TubeRun>  $runs
     * @param  list<Gap>  $gaps
     */
    private static function gapSpread(array $runs, array $gaps): ?float
    {
        if (count($runs) < 3) {
            return null;
        }
        $axis = new Vector(0, 0, 0);
        foreach ($runs as $run) {
            foreach ($runs as $other) {
                $across = $other->start->at->minus($run->start->at);
                $axis = $across->length() > $axis->length() ? $across : $axis;
            }
        }
        uasort($runs, static fn (TubeRun $a, TubeRun $b): int => $a->start->at->dot($axis) <=> $b->start->at->dot($axis));
        $row = array_map(strval(...), array_keys($runs));
        $least = [];
        for ($i = 1; $i < count($row); $i++) {
            $pair = [$row[$i - 1], $row[$i]];
            foreach ($gaps as $gap) {
                if ($gap->isRun && in_array($gap->run, $pair, true) && in_array($gap->other, $pair, true)) {
                    $least[] = $gap->gapMm;
                }
            }
        }

        // Gaps that are far wider than needed are not listed; then the row is not told.
        return $least !== [] && count($least) === count($row) - 1 ? max($least) - min($least) : null;
    }

    /** Peak to valley from the plane that fits best: the axis with the least scatter, by turning the frame until none is left. */
    private static function flatness(TubeRun $run): float
    {
        $points = $run->centreline(self::EVERY_MM);
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

    /**
     * Two banks: as many runs on one side of an upright plane, fore and aft, as on the other, with ports that mirror.
     *
     * @param  array<string, TubeRun>  $runs
     */
    private static function mirror(array $runs): ?float
    {
        if (count($runs) < 2 || count($runs) % 2 !== 0) {
            return null;
        }
        $ys = array_map(static fn (TubeRun $run): float => $run->start->at->y, $runs);
        $plane = array_sum($ys) / count($ys);
        $left = array_filter($runs, static fn (TubeRun $run): bool => $run->start->at->y < $plane);
        $right = array_diff_key($runs, $left);
        if (count($left) !== count($right)) {
            return null;
        }
        $worst = 0.0;
        foreach ($left as $run) {
            $best = null;
            foreach ($right as $other) {
                $port = new Vector($other->start->at->x, 2 * $plane - $other->start->at->y, $other->start->at->z);
                if ($port->distanceTo($run->start->at) < 5.0) {
                    $best = self::apart($run, $other, $plane);
                }
            }
            if ($best === null) {
                return null;
            }
            $worst = max($worst, $best);
        }

        return $worst;
    }

    /** The furthest that stations of one run lie from the same stations of the other's mirror image. */
    private static function apart(TubeRun $run, TubeRun $other, float $plane): float
    {
        $worst = 0.0;
        for ($i = 0; $i <= 20; $i++) {
            $p = $run->frameAt($run->lengthMm() * $i / 20)->at;
            $q = $other->frameAt($other->lengthMm() * $i / 20)->at;
            $worst = max($worst, $p->distanceTo(new Vector($q->x, 2 * $plane - $q->y, $q->z)));
        }

        return $worst;
    }
}
