<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach;

/** Turns answers at single places into arcs. */
final readonly class Arcs
{
    /** Halvings of the step between an open and a closed place: the end is then known to 1/16 of the step. */
    private const HALVINGS = 3;

    /**
     * Round a seam, in degrees.
     *
     * @param  list<bool>  $isOpen  at places the same step apart, the first at 0; at least one
     * @param  \Closure(float): bool  $at  whether it is open at an angle, in degrees
     * @return list<array{float, float}>
     */
    public static function round(array $isOpen, \Closure $at): array
    {
        $count = count($isOpen);
        $stepDeg = 360 / $count;
        $starts = $ends = [];
        foreach ($isOpen as $i => $one) {
            if ($one !== $isOpen[($i + 1) % $count]) {
                $edge = self::edge($i * $stepDeg, $stepDeg, $one, $at);
                if ($one) {
                    $ends[] = $edge;
                } else {
                    $starts[] = $edge;
                }
            }
        }
        if ($starts === []) {
            return $isOpen[0] ? [[0.0, 360.0]] : [];
        }
        if ($ends[0] < $starts[0]) {
            $ends[] = array_shift($ends) + 360;
        }

        return array_map(
            static fn (float $from, float $to): array => $from < 360 ? [$from, $to] : [$from - 360, $to - 360],
            $starts,
            $ends,
        );
    }

    /**
     * @param  list<bool>  $isOpen
     * @return list<array{float, float}> the first and last number of each stretch
     */
    public static function ofPlaces(array $isOpen): array
    {
        $arcs = [];
        $from = null;
        foreach ([...$isOpen, false] as $i => $one) {
            if ($one) {
                $from ??= $i;
            } elseif ($from !== null) {
                $arcs[] = [(float) $from, (float) ($i - 1)];
                $from = null;
            }
        }

        return $arcs;
    }

    /**
     * What of some arcs is in none of others, round a seam in degrees.
     *
     * @param  list<array{float, float}>  $some  each from 0 to 360, its end possibly beyond that
     * @param  list<array{float, float}>  $others
     * @return list<array{float, float}>
     */
    public static function without(array $some, array $others): array
    {
        $left = [];
        foreach ($some as $arc) {
            $parts = [$arc];
            foreach ($others as [$from, $to]) {
                foreach ([-360.0, 0.0, 360.0] as $turn) {
                    $parts = self::cutOut($parts, $from + $turn, $to + $turn);
                }
            }
            array_push($left, ...$parts);
        }

        return array_map(
            static fn (array $arc): array => $arc[0] < 360.0 ? $arc : [$arc[0] - 360, $arc[1] - 360],
            $left,
        );
    }

    /** @param  list<array{float, float}>  $arcs */
    public static function sum(array $arcs): float
    {
        return array_sum(array_map(static fn (array $arc): float => $arc[1] - $arc[0], $arcs));
    }

    /**
     * @param  list<array{float, float}>  $arcs
     * @return list<array{float, float}>
     */
    private static function cutOut(array $arcs, float $from, float $to): array
    {
        $left = [];
        foreach ($arcs as [$start, $end]) {
            if ($to <= $start || $from >= $end) {
                $left[] = [$start, $end];

                continue;
            }
            if ($from > $start) {
                $left[] = [$start, $from];
            }
            if ($to < $end) {
                $left[] = [$to, $end];
            }
        }

        return $left;
    }

    /** @param  \Closure(float): bool  $at */
    private static function edge(float $fromDeg, float $stepDeg, bool $isOpenBefore, \Closure $at): float
    {
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $stepDeg /= 2;
            if ($at($fromDeg + $stepDeg) === $isOpenBefore) {
                $fromDeg += $stepDeg;
            }
        }

        return $fromDeg + $stepDeg / 2;
    }
}
