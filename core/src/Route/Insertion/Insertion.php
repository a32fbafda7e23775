<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Insertion;

use UpsweptBead\Core\Route\Problem\KeepOut;
use UpsweptBead\Core\Route\Search\Way;

/**
 * In which order whole tubes can be put in, each pushed straight to its place past those already there.
 *
 * Found backwards: a tube that can be drawn straight out of the full set goes in last, and so on. Drawing out never gets
 * harder when others are gone, so peeling greedily loses nothing. Two round bars, one drawn along d: seen along d, they
 * pass if their axes keep apart by both radii; if not, it is blocked just when the other lies ahead. Exact for straight
 * lines; bends are chords here, within 0.3 mm on a 50 mm radius. Nothing is turned or tipped on the way.
 */
final readonly class Insertion
{
    /** Tubes may touch while they pass, but not by more than what chords stand off their arcs. */
    private const SLACK = 0.5;

    private const POINT_EVERY = 8.0;

    /**
     * @param  list<Step>  $order  as they go in
     * @param  list<Stuck>  $stuck  that no order gets in
     */
    private function __construct(public array $order, public array $stuck) {}

    /**
     * @param  list<Way>  $ways  cut
     * @param  list<KeepOut>  $solids  standing there before the tubes
     */
    public static function of(array $ways, array $solids): self
    {
        $left = [];
        foreach ($ways as $way) {
            $left[$way->span->port->id] = $way;
        }
        $out = [];
        do {
            $moved = false;
            foreach ($left as $id => $way) {
                $others = array_diff_key($left, [$id => true]);
                foreach (self::directions($way) as [$direction, $along]) {
                    if (self::blockers($way, $direction, $others, $solids, true) === []) {
                        $out[] = new Step($way->span->port->id, [-$direction[0], -$direction[1], -$direction[2]], $along);
                        unset($left[$id]);
                        $moved = true;

                        continue 3;
                    }
                }
            }
        } while ($moved && $left !== []);

        return new self(array_reverse($out), array_values(array_map(static fn (Way $way): Stuck => self::stuck($way, $left, $solids), $left)));
    }

    public function isPossible(): bool
    {
        return $this->stuck === [];
    }

    /**
     * @param  array<array-key, Way>  $left
     * @param  list<KeepOut>  $solids
     */
    private static function stuck(Way $way, array $left, array $solids): Stuck
    {
        $fewest = null;
        $others = array_diff_key($left, [$way->span->port->id => true]);
        foreach (self::directions($way) as [$direction]) {
            $blockers = self::blockers($way, $direction, $others, $solids, false);
            if ($fewest === null || count($blockers) < count($fewest)) {
                $fewest = $blockers;
            }
        }

        return new Stuck($way->span->port->id, $fewest ?? []);
    }

    /**
     * Ways out worth trying: off the port, out of the inlet, between the two, then all round.
     *
     * @return list<array{array{float, float, float}, Along}>
     */
    private static function directions(Way $way): array
    {
        $s = $way->span;
        $port = [$s->ax, $s->ay, $s->az];
        $inlet = [-$s->bx, -$s->by, -$s->bz];
        $directions = [[$port, Along::Port], [$inlet, Along::Inlet]];
        foreach ([0.25, 0.5, 0.75] as $share) {
            $mixed = [$port[0] + $share * ($inlet[0] - $port[0]), $port[1] + $share * ($inlet[1] - $port[1]), $port[2] + $share * ($inlet[2] - $port[2])];
            $size = sqrt($mixed[0] ** 2 + $mixed[1] ** 2 + $mixed[2] ** 2);
            if ($size > 0.2) {
                $directions[] = [[$mixed[0] / $size, $mixed[1] / $size, $mixed[2] / $size], Along::Between];
            }
        }
        // Points spread evenly over the sphere by the golden angle.
        $count = 40;
        for ($i = 0; $i < $count; $i++) {
            $z = 1 - (2 * $i + 1) / $count;
            $r = sqrt(1 - $z * $z);
            $angle = $i * M_PI * (3 - sqrt(5));
            $directions[] = [[$r * cos($angle), $r * sin($angle), $z], Along::Side];
        }

        return $directions;
    }

    /**
     * @param  array{float, float, float}  $d
     * @param  array<array-key, Way>  $others
     * @param  list<KeepOut>  $solids
     * @return list<string> the tubes and keep-outs that stand in the way; only the first found if $firstOnly
     */
    private static function blockers(Way $way, array $d, array $others, array $solids, bool $firstOnly): array
    {
        $blockers = [];
        foreach ($others as $id => $other) {
            if (self::tubeBlocks($way, $other, $d)) {
                $blockers[] = (string) $id;
                if ($firstOnly) {
                    return $blockers;
                }
            }
        }
        foreach ($solids as $solid) {
            if (self::solidBlocks($way, $solid, $d)) {
                $blockers[] = $solid->id;
                if ($firstOnly) {
                    return $blockers;
                }
            }
        }

        return $blockers;
    }

    /** @param  array{float, float, float}  $d */
    private static function tubeBlocks(Way $p, Way $q, array $d): bool
    {
        [$dx, $dy, $dz] = $d;
        $need = ($p->span->port->tube->odMm + $q->span->port->tube->odMm) / 2 - self::SLACK;
        [$pp, $ph] = self::flat($p, $dx, $dy, $dz);
        [$qp, $qh] = self::flat($q, $dx, $dy, $dz);
        $n = count($ph) - 1;
        $m = count($qh) - 1;
        for ($i = 0; $i < $n; $i++) {
            if (self::isJump($p, $i)) {
                continue;
            }
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
                if ($rx * $rx + $ry * $ry + $rz * $rz > $reach * $reach || self::isJump($q, $j)) {
                    continue;
                }
                [$s, $t, $square] = self::nearest($a, $e, $ux * $vx + $uy * $vy + $uz * $vz, $ux, $uy, $uz, $vx, $vy, $vz, $rx, $ry, $rz);
                if ($square < $need * $need) {
                    $ahead = ($qh[$j] + $t * ($qh[$j + 1] - $qh[$j])) - ($ph[$i] + $s * ($ph[$i + 1] - $ph[$i]));
                    if ($ahead > 0.0) {
                        return true;
                    }
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
    private static function flat(Way $way, float $dx, float $dy, float $dz): array
    {
        $flat = $heights = [];
        foreach (array_keys($way->stations) as $i) {
            [$x, $y, $z] = [$way->points[3 * $i], $way->points[3 * $i + 1], $way->points[3 * $i + 2]];
            $h = $x * $dx + $y * $dy + $z * $dz;
            $heights[] = $h;
            $flat[] = $x - $h * $dx;
            $flat[] = $y - $h * $dy;
            $flat[] = $z - $h * $dz;
        }

        return [$flat, $heights];
    }

    /** Stretches begin anew at the point where the last ended; between the two there is no line. */
    private static function isJump(Way $way, int $i): bool
    {
        return $way->stations[$i + 1] - $way->stations[$i] < 1e-9;
    }

    /** @return array{float, float, float} shares of both lines at their nearest points, and the square of the distance */
    private static function nearest(float $a, float $e, float $b, float $ux, float $uy, float $uz, float $vx, float $vy, float $vz, float $rx, float $ry, float $rz): array
    {
        $c = $ux * $rx + $uy * $ry + $uz * $rz;
        $f = $vx * $rx + $vy * $ry + $vz * $rz;
        $den = $a * $e - $b * $b;
        $s = $den > 1e-9 ? max(0.0, min(1.0, ($b * $f - $c * $e) / $den)) : 0.0;
        $t = $e > 1e-12 ? ($b * $s + $f) / $e : 0.0;
        if ($t < 0.0 || $t > 1.0) {
            $t = $t < 0.0 ? 0.0 : 1.0;
            $s = $a > 1e-12 ? max(0.0, min(1.0, ($b * $t - $c) / $a)) : 0.0;
        }
        $x = $rx + $s * $ux - $t * $vx;
        $y = $ry + $s * $uy - $t * $vy;
        $z = $rz + $s * $uz - $t * $vz;

        return [$s, $t, $x * $x + $y * $y + $z * $z];
    }

    /** @param  array{float, float, float}  $d */
    private static function solidBlocks(Way $way, KeepOut $solid, array $d): bool
    {
        $radius = $way->span->port->tube->odMm / 2 - self::SLACK;
        $end = $way->length - $solid->exemptLastMm;
        for ($i = 0; $i < count($way->stations) - 1; $i++) {
            $run = $way->stations[$i + 1] - $way->stations[$i];
            $steps = max(1, (int) ceil($run / self::POINT_EVERY));
            for ($k = 0; $k < $steps; $k++) {
                $share = $k / $steps;
                $station = $way->stations[$i] + $share * $run;
                if ($station < $solid->exemptFirstMm || $station > $end) {
                    continue;
                }
                $x = $way->points[3 * $i] + $share * ($way->points[3 * $i + 3] - $way->points[3 * $i]);
                $y = $way->points[3 * $i + 1] + $share * ($way->points[3 * $i + 4] - $way->points[3 * $i + 1]);
                $z = $way->points[3 * $i + 2] + $share * ($way->points[3 * $i + 5] - $way->points[3 * $i + 2]);
                if (self::runsInto($solid, $x, $y, $z, $d, $radius)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * Follows a point along a direction, as far each time as the distance to the solid allows, until it is in or going away.
     *
     * @param  array{float, float, float}  $d
     */
    private static function runsInto(KeepOut $solid, float $x, float $y, float $z, array $d, float $radius): bool
    {
        $before = INF;
        $isConvex = $solid->isConvex();
        for ($step = 0; $step < 60; $step++) {
            $free = ($isConvex ? $solid->distance($x, $y, $z) : $solid->atLeast($x, $y, $z)) - $radius;
            if ($free < 0.0 && ! $isConvex) {
                $free = $solid->distance($x, $y, $z) - $radius;
            }
            if ($free < 0.0) {
                // A tube that stands close from the first may still be drawn away.
                return $step > 0 || $solid->distance($x + $d[0], $y + $d[1], $z + $d[2]) - $radius < $free;
            }
            // A convex solid that is getting further away never comes nearer again; another may, until it is far behind.
            if ($free > ($isConvex ? $before : 300.0)) {
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
