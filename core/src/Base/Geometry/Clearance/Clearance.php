<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Clearance;

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;

/**
 * How near tubes come to each other and to keep-outs, on the short lines of their centrelines. Stretches whose balls
 * lie far enough apart are passed over. Shortfalls are in mm, 0 where all is well.
 */
final readonly class Clearance
{
    /**
     * Gives by how much two tubes come short of their distance at the worst place.
     *
     * Nothing is asked more often while searching, so LinePair::nearest stands written out in it, and the lines of two
     * stretches are not a function of their own (that took a tenth longer); a test holds both to each other.
     *
     * @param  float  $wideMm  what is needed from centreline to centreline
     * @param  float  $narrowMm  what is needed between places that lie both in the near zone
     * @param  list<Contact>|null  $contacts  filled with the nearest place of each two stretches within $windowMm of
     *   the limit
     *
     * @param-out  ($contacts is null ? null : list<Contact>)  $contacts
     */
    public static function ofTubes(
        Chords $p,
        Chords $q,
        float $wideMm,
        float $narrowMm,
        ?array &$contacts = null,
        float $windowMm = 0.0,
    ): float {
        $worst = 0.0;
        $wants = $contacts !== null;
        $pp = $p->points;
        $qp = $q->points;
        $pBalls = $p->balls;
        $qBalls = $q->balls;
        $n = count($p->from);
        $m = count($q->from);
        for ($i = 0; $i < $n; $i++) {
            $x = $pBalls[4 * $i];
            $y = $pBalls[4 * $i + 1];
            $z = $pBalls[4 * $i + 2];
            $r = $pBalls[4 * $i + 3];
            for ($j = 0; $j < $m; $j++) {
                $need = $p->near[$i] && $q->near[$j] ? $narrowMm : $wideMm;
                $limit = $need + ($wants ? $windowMm : -$worst);
                $reach = $r + $qBalls[4 * $j + 3] + $limit;
                $dx = $x - $qBalls[4 * $j];
                $dy = $y - $qBalls[4 * $j + 1];
                $dz = $z - $qBalls[4 * $j + 2];
                if ($dx * $dx + $dy * $dy + $dz * $dz >= $reach * $reach) {
                    continue;
                }
                $best = $limit * $limit;
                $bestI = -1;
                $bestJ = 0;
                $bestS = $bestT = 0.0;
                $pEnd = $p->to[$i];
                $qStart = $q->from[$j];
                $qEnd = $q->to[$j];
                $qx0 = $qBalls[4 * $j];
                $qy0 = $qBalls[4 * $j + 1];
                $qz0 = $qBalls[4 * $j + 2];
                $qBall = $qBalls[4 * $j + 3];
                for ($k = $p->from[$i]; $k < $pEnd; $k++) {
                    $px = $pp[3 * $k];
                    $py = $pp[3 * $k + 1];
                    $pz = $pp[3 * $k + 2];
                    $ux = $pp[3 * $k + 3] - $px;
                    $uy = $pp[3 * $k + 4] - $py;
                    $uz = $pp[3 * $k + 5] - $pz;
                    $a = $ux * $ux + $uy * $uy + $uz * $uz;
                    $reach = $qBall + sqrt($a) / 2 + sqrt($best);
                    $dx = $px + $ux / 2 - $qx0;
                    $dy = $py + $uy / 2 - $qy0;
                    $dz = $pz + $uz / 2 - $qz0;
                    if ($dx * $dx + $dy * $dy + $dz * $dz >= $reach * $reach) {
                        continue;
                    }
                    for ($l = $qStart; $l < $qEnd; $l++) {
                        $qx = $qp[3 * $l];
                        $qy = $qp[3 * $l + 1];
                        $qz = $qp[3 * $l + 2];
                        $vx = $qp[3 * $l + 3] - $qx;
                        $vy = $qp[3 * $l + 4] - $qy;
                        $vz = $qp[3 * $l + 5] - $qz;
                        $rx = $px - $qx;
                        $ry = $py - $qy;
                        $rz = $pz - $qz;
                        $e = $vx * $vx + $vy * $vy + $vz * $vz;
                        $b = $ux * $vx + $uy * $vy + $uz * $vz;
                        $c = $ux * $rx + $uy * $ry + $uz * $rz;
                        $f = $vx * $rx + $vy * $ry + $vz * $rz;
                        $denominator = $a * $e - $b * $b;
                        $s = $denominator > 1e-9 ? ($b * $f - $c * $e) / $denominator : 0.0;
                        $s = $s < 0.0 ? 0.0 : ($s > 1.0 ? 1.0 : $s);
                        $t = ($b * $s + $f) / $e;
                        if ($t < 0.0) {
                            $t = 0.0;
                            $s = -$c / $a;
                            $s = $s < 0.0 ? 0.0 : ($s > 1.0 ? 1.0 : $s);
                        } elseif ($t > 1.0) {
                            $t = 1.0;
                            $s = ($b - $c) / $a;
                            $s = $s < 0.0 ? 0.0 : ($s > 1.0 ? 1.0 : $s);
                        }
                        $dx = $rx + $ux * $s - $vx * $t;
                        $dy = $ry + $uy * $s - $vy * $t;
                        $dz = $rz + $uz * $s - $vz * $t;
                        $square = $dx * $dx + $dy * $dy + $dz * $dz;
                        if ($square < $best) {
                            $best = $square;
                            $bestI = $k;
                            $bestJ = $l;
                            $bestS = $s;
                            $bestT = $t;
                        }
                    }
                }
                if ($bestI < 0) {
                    continue;
                }
                $short = $need - sqrt($best);
                if ($short > $worst) {
                    $worst = $short;
                }
                if ($wants) {
                    $contacts[] = new Contact(
                        $p->piece[$i], $p->share[$i] + ($bestI - $p->from[$i] + $bestS) * $p->chord[$i], $short, $need,
                        $q->piece[$j], $q->share[$j] + ($bestJ - $q->from[$j] + $bestT) * $q->chord[$j],
                    );
                }
            }
        }

        return $worst;
    }

    /**
     * Gives by how much a tube comes short of its distance to a keep-out; its exempt ends are not looked at.
     *
     * @param  float  $neededMm  from the centreline to the keep-out's surface
     * @param  list<Contact>|null  $contacts  filled with the nearest place of each stretch within $windowMm of the
     *   limit
     *
     * @param-out  ($contacts is null ? null : list<Contact>)  $contacts
     */
    public static function toSolid(
        Chords $tube,
        KeepOut $solid,
        float $neededMm,
        ?array &$contacts = null,
        float $windowMm = 0.0,
    ): float {
        $begin = $solid->exemptFirstMm;
        $end = $tube->lengthMm - $solid->exemptLastMm;
        $wants = $contacts !== null;
        $worst = 0.0;
        $points = $tube->points;
        $stations = $tube->stations;
        foreach ($tube->from as $i => $first) {
            $last = $tube->to[$i];
            $limit = $neededMm + ($wants ? $windowMm : -$worst);
            if (
                $stations[$last] <= $begin ||
                $stations[$first] >= $end ||
                $solid->atLeast($tube->balls[4 * $i], $tube->balls[4 * $i + 1], $tube->balls[4 * $i + 2]) -
                    $tube->balls[4 * $i + 3] >=
                    $limit
            ) {
                continue;
            }
            $best = $limit;
            $place = -1.0;
            for ($k = $first; $k < $last; $k++) {
                $length = $stations[$k + 1] - $stations[$k];
                $low = $begin > $stations[$k] ? ($begin - $stations[$k]) / $length : 0.0;
                $high = $end < $stations[$k + 1] ? ($end - $stations[$k]) / $length : 1.0;
                if ($low >= $high) {
                    continue;
                }
                $x = $points[3 * $k];
                $y = $points[3 * $k + 1];
                $z = $points[3 * $k + 2];
                $ux = $points[3 * $k + 3] - $x;
                $uy = $points[3 * $k + 4] - $y;
                $uz = $points[3 * $k + 5] - $z;
                $part = $high - $low;
                [$distance, $at] = $solid->along(
                    $x + $low * $ux,
                    $y + $low * $uy,
                    $z + $low * $uz,
                    $part * $ux,
                    $part * $uy,
                    $part * $uz,
                    $best,
                );
                if ($distance < $best) {
                    $best = $distance;
                    $place = $k - $first + $low + $at * $part;
                }
            }
            if ($place >= 0.0) {
                $short = $neededMm - $best;
                $worst = max($worst, $short);
                if ($wants) {
                    $contacts[] = new Contact(
                        $tube->piece[$i],
                        $tube->share[$i] + $place * $tube->chord[$i],
                        $short,
                        $neededMm,
                    );
                }
            }
        }

        return $worst;
    }

    /**
     * Says, at some points only, whether a tube plainly comes nearer to a keep-out than $leastMm.
     *
     * @param  list<array{float, float, float, float}>  $marks  on its centreline: x, y, z and station
     */
    public static function isPlainlyNearer(array $marks, float $lengthMm, KeepOut $solid, float $leastMm): bool
    {
        $end = $lengthMm - $solid->exemptLastMm;
        $isConvex = $solid->isConvex();
        foreach ($marks as [$x, $y, $z, $station]) {
            if (
                $station > $solid->exemptFirstMm &&
                $station < $end &&
                $solid->atLeast($x, $y, $z) < $leastMm &&
                ($isConvex || $solid->atMost($x, $y, $z) < $leastMm)
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * Gives by how much a tube comes short of its distance to itself, between points further apart along it than a
     * half turn. Taken at points every $everyMm; a pass is skipped over as far as the distance met there allows.
     *
     * @param  float  $neededMm  from centreline to centreline
     * @param  float  $apartMm  along the tube; nearer points cannot clash
     */
    public static function toItself(Chords $tube, float $neededMm, float $apartMm, float $everyMm = 4.0): float
    {
        // Up to half a turn in all, no two points that far apart along the tube can be near each other.
        if ($tube->turningRad <= M_PI) {
            return 0.0;
        }
        $count = max(2, (int) ceil($tube->lengthMm / $everyMm));
        $step = $tube->lengthMm / $count;
        $dots = $tube->dots($count);
        $worst = 0.0;
        for ($i = 0; $i <= $count; $i++) {
            for ($j = $i + (int) ceil($apartMm / $step); $j <= $count; $j++) {
                $x = $dots[3 * $i] - $dots[3 * $j];
                $y = $dots[3 * $i + 1] - $dots[3 * $j + 1];
                $z = $dots[3 * $i + 2] - $dots[3 * $j + 2];
                $short = $neededMm - sqrt($x * $x + $y * $y + $z * $z);
                if ($short > $worst) {
                    $worst = $short;
                }
                $j += max(0, (int) (($worst - $short) / $step) - 1);
            }
        }

        return $worst;
    }
}
