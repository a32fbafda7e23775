<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Insertion;

use UpsweptBead\Core\Base\Geometry\Clearance\LinePair;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;

/**
 * What stands in the way of a tube that is drawn off along a straight line. Seen along the line, two round bars pass
 * if their axes keep apart by both radii; if not, the one that stands is in the way just when it lies ahead. Exact for
 * straight lines; bends are chords here, within 0.3 mm on a 50 mm radius.
 */
final readonly class Sweep
{
    /** Steps in which a point is followed, and how far past a solid that is not convex (mm). */
    private const FOLLOWED = 60;

    private const BEHIND_MM = 300.0;

    /** Tubes may touch while they pass, but not by more than what chords stand off their arcs. */
    private const SLACK = 0.5;

    private const POINT_EVERY = 8.0;

    /** @param  array{float, float, float}  $d */
    public static function tubeBlocks(Line $p, Line $q, array $d): bool
    {
        $need = ($p->odMm + $q->odMm) / 2 - self::SLACK;
        [$pp, $ph] = self::flat($p, ...$d);
        [$qp, $qh] = self::flat($q, ...$d);

        return self::anyNear(
            $pp,
            $qp,
            $need,
            static fn (int $i, int $j, float $s, float $t): bool => $qh[$j] +
                $t * ($qh[$j + 1] - $qh[$j]) -
                ($ph[$i] + $s * ($ph[$i + 1] - $ph[$i])) >
                0.0,
        );
    }

    /** Whether two tubes run into each other where they are. */
    public static function tubesMeet(Line $p, Line $q): bool
    {
        return self::anyNear(
            $p->points,
            $q->points,
            ($p->odMm + $q->odMm) / 2 - self::SLACK,
            static fn (): bool => true,
        );
    }

    public static function meetsSolid(Line $line, KeepOut $solid): bool
    {
        return self::anyPoint(
            $line,
            $solid,
            static fn (float $x, float $y, float $z): bool => $solid->atLeast($x, $y, $z) <
                $line->odMm / 2 - self::SLACK && $solid->distance($x, $y, $z) < $line->odMm / 2 - self::SLACK,
        );
    }

    /** @param  array{float, float, float}  $d */
    public static function solidBlocks(Line $line, KeepOut $solid, array $d): bool
    {
        return self::anyPoint(
            $line,
            $solid,
            static fn (float $x, float $y, float $z): bool => self::runsInto(
                $solid,
                $x,
                $y,
                $z,
                $d,
                $line->odMm / 2 - self::SLACK,
            ),
        );
    }

    /** @param  \Closure(float, float, float): bool  $test */
    private static function anyPoint(Line $line, KeepOut $solid, \Closure $test): bool
    {
        $end = $line->lengthMm - $solid->exemptLastMm;
        for ($i = 0; $i < count($line->stations) - 1; $i++) {
            $run = $line->stations[$i + 1] - $line->stations[$i];
            $steps = max(1, (int) ceil($run / self::POINT_EVERY));
            for ($k = 0; $k < $steps; $k++) {
                $share = $k / $steps;
                $station = $line->stations[$i] + $share * $run;
                if ($station < $solid->exemptFirstMm || $station > $end) {
                    continue;
                }
                $x = $line->points[3 * $i] + $share * ($line->points[3 * $i + 3] - $line->points[3 * $i]);
                $y = $line->points[3 * $i + 1] + $share * ($line->points[3 * $i + 4] - $line->points[3 * $i + 1]);
                $z = $line->points[3 * $i + 2] + $share * ($line->points[3 * $i + 5] - $line->points[3 * $i + 2]);
                if ($test($x, $y, $z)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * Whether any two lines that come within $need of each other pass a test at their nearest points.
     *
     * @param  list<float>  $pp
     * @param  list<float>  $qp
     * @param  \Closure(int, int, float, float): bool  $test  lines, and the shares of both where they are nearest
     */
    private static function anyNear(array $pp, array $qp, float $need, \Closure $test): bool
    {
        $n = intdiv(count($pp), 3) - 1;
        $m = intdiv(count($qp), 3) - 1;
        for ($i = 0; $i < $n; $i++) {
            $ux = $pp[3 * $i + 3] - $pp[3 * $i];
            $uy = $pp[3 * $i + 4] - $pp[3 * $i + 1];
            $uz = $pp[3 * $i + 5] - $pp[3 * $i + 2];
            $a = $ux * $ux + $uy * $uy + $uz * $uz;
            for ($j = 0; $j < $m; $j++) {
                $rx = $pp[3 * $i] - $qp[3 * $j];
                $ry = $pp[3 * $i + 1] - $qp[3 * $j + 1];
                $rz = $pp[3 * $i + 2] - $qp[3 * $j + 2];
                $vx = $qp[3 * $j + 3] - $qp[3 * $j];
                $vy = $qp[3 * $j + 4] - $qp[3 * $j + 1];
                $vz = $qp[3 * $j + 5] - $qp[3 * $j + 2];
                $e = $vx * $vx + $vy * $vy + $vz * $vz;
                $reach = sqrt($a) + sqrt($e) + $need;
                if ($rx * $rx + $ry * $ry + $rz * $rz > $reach * $reach) {
                    continue;
                }
                [$s, $t, $square] = LinePair::nearest($ux, $uy, $uz, $vx, $vy, $vz, $rx, $ry, $rz);
                if ($square < $need * $need && $test($i, $j, $s, $t)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * The tube's points as seen along a direction, and how far along it they lie.
     *
     * @return array{list<float>, list<float>}
     */
    private static function flat(Line $line, float $dx, float $dy, float $dz): array
    {
        $flat = $heights = [];
        for ($i = 0, $end = count($line->points); $i < $end; $i += 3) {
            [$x, $y, $z] = [$line->points[$i], $line->points[$i + 1], $line->points[$i + 2]];
            $h = $x * $dx + $y * $dy + $z * $dz;
            $heights[] = $h;
            $flat[] = $x - $h * $dx;
            $flat[] = $y - $h * $dy;
            $flat[] = $z - $h * $dz;
        }

        return [$flat, $heights];
    }

    /**
     * Follows a point along a direction, as far each time as the distance to the solid allows, until it is in or going
     * away.
     *
     * @param  array{float, float, float}  $d
     */
    private static function runsInto(KeepOut $solid, float $x, float $y, float $z, array $d, float $radius): bool
    {
        $before = INF;
        $isConvex = $solid->isConvex();
        for ($step = 0; $step < self::FOLLOWED; $step++) {
            $free = ($isConvex ? $solid->distance($x, $y, $z) : $solid->atLeast($x, $y, $z)) - $radius;
            if ($free < 0.0 && ! $isConvex) {
                $free = $solid->distance($x, $y, $z) - $radius;
            }
            if ($free < 0.0) {
                // A tube that stands close from the first may still be drawn away.
                return $step > 0 || $solid->distance($x + $d[0], $y + $d[1], $z + $d[2]) - $radius < $free;
            }
            // A convex solid that is getting further away never comes nearer again; another may, until it is far
            // behind.
            if ($free > ($isConvex ? $before : self::BEHIND_MM)) {
                return false;
            }
            $before = $free;
            $stride = max($free, 1.0);
            $x += $stride * $d[0];
            $y += $stride * $d[1];
            $z += $stride * $d[2];
        }

        return false;
    }
}
