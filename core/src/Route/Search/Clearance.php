<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Search;

use UpsweptBead\Core\Geometry\Solid\KeepOut;

/**
 * How near tubes come to each other and to keep-outs, on the short lines of a Way. Stretches whose balls lie far enough
 * apart are passed over. Shortfalls are in mm, 0 where all is well.
 */
final readonly class Clearance
{
    /**
     * Gives by how much two tubes come short of their gap at the worst place.
     *
     * @param  float  $hand  mm asked for above the gap
     * @param  list<Contact>|null  $contacts  filled with the nearest place of each two stretches within $window of the limit
     *
     * @param-out  ($contacts is null ? null : list<Contact>)  $contacts
     */
    public static function pair(
        Way $p,
        Way $q,
        float $gap,
        float $hand,
        ?array &$contacts = null,
        float $window = 0.0,
    ): float {
        $half = ($p->span->port->tube->odMm + $q->span->port->tube->odMm) / 2;
        $wide = $half + $gap + $hand;
        $same = $p->span->collector->id === $q->span->collector->id;
        $narrow = $same ? min($wide, $half + $p->span->collector->nearGapMm + $hand) : $wide;
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
                $need = $p->near[$i] && $q->near[$j] ? $narrow : $wide;
                $reach = $r + $qBalls[4 * $j + 3] + $need + ($wants ? $window : -$worst);
                $dx = $x - $qBalls[4 * $j];
                $dy = $y - $qBalls[4 * $j + 1];
                $dz = $z - $qBalls[4 * $j + 2];
                if ($dx * $dx + $dy * $dy + $dz * $dz >= $reach * $reach) {
                    continue;
                }
                $limit = $need + ($wants ? $window : -$worst);
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
                        // The nearest points of two line segments, clamped to both [Ericson, Real-Time Collision
                        // Detection, 5.1.9].
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
                        $p->piece[$i], $p->share[$i] + ($bestI - $p->from[$i] + $bestS) * $p->chord[$i], $short,
                        $q->piece[$j], $q->share[$j] + ($bestJ - $qStart + $bestT) * $q->chord[$j],
                    );
                }
            }
        }

        return $worst;
    }

    /**
     * Where two inlets sit closer than the gap, one of the two tubes must begin to bend inside the near zone, or they
     * run too close just before it, with nothing to tell a search which way is better. Gives how much too long the
     * shorter of the two last straights is.
     */
    public static function lane(Way $p, Way $q, float $gap, float $hand): float
    {
        $most = self::longestLastStraight($p->span, $q->span, $gap + $hand);

        return max(0.0, min($p->straights[$p->bends()], $q->straights[$q->bends()]) - $most);
    }

    public static function longestLastStraight(Span $p, Span $q, float $gap): float
    {
        if ($p->collector->id !== $q->collector->id) {
            return INF;
        }
        $alike = $p->bx * $q->bx + $p->by * $q->by + $p->bz * $q->bz;
        $half = ($p->port->tube->odMm + $q->port->tube->odMm) / 2;
        $across = $p->inlet->at->minus($q->inlet->at);
        $lack = $half + $gap - $across->squareTo($p->inlet->direction)->length();
        if ($alike < 0.9999 || $lack <= 0.0) {
            return INF;
        }

        return $p->collector->nearMm - sqrt(2 * min($p->radii[0], $q->radii[0]) * $lack);
    }

    /**
     * Gives by how much a tube comes short of its clearance to a keep-out.
     *
     * @param  list<Contact>|null  $contacts  filled with the nearest place of each stretch within $window of the limit
     *
     * @param-out  ($contacts is null ? null : list<Contact>)  $contacts
     */
    public static function solid(
        Way $way,
        KeepOut $solid,
        float $clearance,
        float $hand,
        ?array &$contacts = null,
        float $window = 0.0,
    ): float {
        $need = $way->span->port->tube->odMm / 2 + ($solid->clearanceMm ?? $clearance) + $hand;
        $begin = $solid->exemptFirstMm;
        $end = $way->length - $solid->exemptLastMm;
        $wants = $contacts !== null;
        $worst = 0.0;
        $points = $way->points;
        $stations = $way->stations;
        foreach ($way->from as $i => $first) {
            $last = $way->to[$i];
            $limit = $need + ($wants ? $window : -$worst);
            if (
                $stations[$last] <= $begin ||
                $stations[$first] >= $end ||
                $solid->atLeast($way->balls[4 * $i], $way->balls[4 * $i + 1], $way->balls[4 * $i + 2]) -
                    $way->balls[4 * $i + 3] >=
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
                $short = $need - $best;
                $worst = max($worst, $short);
                if ($wants) {
                    $contacts[] = new Contact($way->piece[$i], $way->share[$i] + $place * $way->chord[$i], $short);
                }
            }
        }

        return $worst;
    }

    /**
     * Says, at some points only, whether a tube plainly runs into a keep-out by more than $most.
     *
     * @param  list<array{float, float, float, float}>  $marks  of the way: x, y, z and station
     */
    public static function plainly(Way $way, array $marks, KeepOut $solid, float $clearance, float $most): bool
    {
        $least = $way->span->port->tube->odMm / 2 + ($solid->clearanceMm ?? $clearance) - $most;
        $end = $way->length - $solid->exemptLastMm;
        $isConvex = $solid->isConvex();
        foreach ($marks as [$x, $y, $z, $station]) {
            if (
                $station > $solid->exemptFirstMm &&
                $station < $end &&
                $solid->atLeast($x, $y, $z) < $least &&
                ($isConvex || $solid->atMost($x, $y, $z) < $least)
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * Gives by how much a tube comes short of the gap to itself, between points further apart along it than a half
     * turn. Taken at points every $every mm; a pass is skipped over as far as the distance met there allows.
     */
    public static function itself(Way $way, float $gap, float $hand, float $every = 4.0): float
    {
        // Up to half a turn in all, no two points that far apart along the tube can be near each other.
        if ($way->turning <= M_PI) {
            return 0.0;
        }
        $od = $way->span->port->tube->odMm;
        $apart = M_PI * max($way->span->radii[0], ($od + $gap) / 2);
        $need = $od + $gap + $hand;
        $count = max(2, (int) ceil($way->length / $every));
        $step = $way->length / $count;
        $dots = $way->dots($count);
        $worst = 0.0;
        for ($i = 0; $i <= $count; $i++) {
            for ($j = $i + (int) ceil($apart / $step); $j <= $count; $j++) {
                $x = $dots[3 * $i] - $dots[3 * $j];
                $y = $dots[3 * $i + 1] - $dots[3 * $j + 1];
                $z = $dots[3 * $i + 2] - $dots[3 * $j + 2];
                $short = $need - sqrt($x * $x + $y * $y + $z * $z);
                if ($short > $worst) {
                    $worst = $short;
                }
                $j += max(0, (int) (($worst - $short) / $step) - 1);
            }
        }

        return $worst;
    }
}
