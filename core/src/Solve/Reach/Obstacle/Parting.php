<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Obstacle;

use Closure;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Solve\Reach\Barrel;

/** How near a barrel comes to something convex. */
final readonly class Parting
{
    /** Turns of the search for the nearest two points; it ends long before unless an edge nearly meets a rim. */
    private const TURNS = 80;

    /** A distance known this well (mm) is known. */
    private const KNOWN = 0.005;

    /** Less than this (mm) is touching. */
    private const TOUCHING = 1e-9;

    /**
     * Which of three places of a barrel's middle line, its ends and its middle, lies nearest to a solid.
     *
     * @return array{float, float} the distance (mm), and the place along the line
     */
    public static function nearest(KeepOut $solid, Barrel $barrel): array
    {
        $best = INF;
        $t = $barrel->from;
        foreach ([$barrel->from, ($barrel->from + $barrel->to) / 2, $barrel->to] as $one) {
            $distance = $solid->distance(...$barrel->at($one));
            if ($distance < $best) {
                [$best, $t] = [$distance, $one];
            }
        }

        return [$best, $t];
    }

    /**
     * Goes from a point of the barrel to the nearest of the other and back. The way between them is never shorter than
     * the distance, and what parts the two along it never wider: once both are on the same side of the gap it is known.
     *
     * @param  Closure(array{float, float, float}): array{float, float, float}  $nearest  of the other, to a place
     * @param  array{float, float, float}  $x  of the barrel
     */
    public static function keeps(Closure $nearest, Barrel $barrel, array $x, float $gapMm): bool
    {
        $way = INF;
        $y = $nearest($x);
        for ($turn = 0; $turn < self::TURNS; $turn++) {
            [$nx, $ny, $nz] = [$x[0] - $y[0], $x[1] - $y[1], $x[2] - $y[2]];
            $way = sqrt($nx * $nx + $ny * $ny + $nz * $nz);
            if ($way < $gapMm || $way < self::TOUCHING) {
                return false;
            }
            [$nx, $ny, $nz] = [$nx / $way, $ny / $way, $nz / $way];
            $low = $barrel->lowest($nx, $ny, $nz);
            $parted = $nx * ($low[0] - $y[0]) + $ny * ($low[1] - $y[1]) + $nz * ($low[2] - $y[2]);
            if ($parted >= $gapMm) {
                return true;
            }
            if ($way - $parted < self::KNOWN) {
                break;
            }
            $back = $barrel->nearestTo(...$y);
            [$ofLow, $ofBack] = [$nearest($low), $nearest($back)];
            [$x, $y] = self::square($low, $ofLow) < self::square($back, $ofBack) ? [$low, $ofLow] : [$back, $ofBack];
        }

        return $way >= $gapMm;
    }

    /**
     * Of the way between two places, mm².
     *
     * @param  array{float, float, float}  $x
     * @param  array{float, float, float}  $y
     */
    private static function square(array $x, array $y): float
    {
        return ($x[0] - $y[0]) ** 2 + ($x[1] - $y[1]) ** 2 + ($x[2] - $y[2]) ** 2;
    }
}
