<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Search;

/**
 * Ways with two bends. The lengths of the first and the last leg are free, so at a given length there is a curve of
 * them, and few with both angles on the grid. Flat floats throughout: first leg, last leg, and both radii of each.
 */
final readonly class TwoBends
{
    private const SCAN = 34;

    /**
     * Finds every way with both angles on the grid, whatever its length.
     *
     * @return list<Way>
     */
    public static function onGrid(Span $s): array
    {
        $ways = [];
        $c = $s->ax * $s->bx + $s->ay * $s->by + $s->az * $s->bz;
        [$nx, $ny, $nz] = [
            $s->ay * $s->bz - $s->az * $s->by,
            $s->az * $s->bx - $s->ax * $s->bz,
            $s->ax * $s->by - $s->ay * $s->bx,
        ];
        $square = 1 - $c * $c;
        if ($square < 1e-9) {
            return self::betweenParallel($s, $c);
        }
        foreach ($s->grid as $first) {
            foreach ($s->grid as $second) {
                [$ca, $cb] = [cos($first), cos($second)];
                $p = ($ca - $c * $cb) / $square;
                $q = ($cb - $c * $ca) / $square;
                $rest = (1 - $p * $p - $q * $q - 2 * $p * $q * $c) / $square;
                if ($rest < -1e-12) {
                    continue;
                }
                $r = sqrt(max($rest, 0.0));
                foreach ($r < 1e-9 ? [0.0] : [$r, -$r] as $side) {
                    $u = [
                        $p * $s->ax + $q * $s->bx + $side * $nx,
                        $p * $s->ay + $q * $s->by + $side * $ny,
                        $p * $s->az + $q * $s->bz + $side * $nz,
                    ];
                    foreach (self::legs($s, $u) as [$l0, $l2]) {
                        array_push($ways, ...self::withRadii($s, $l0, $l2));
                    }
                }
            }
        }

        return $ways;
    }

    /**
     * Scans the ways of one length: first legs in steps, the last leg by bisection; and from each, where an angle comes
     * onto the grid nearby.
     *
     * @param  list<array{float, float}>  $radii
     * @return list<Way>
     */
    public static function ofLength(Span $s, float $length, array $radii): array
    {
        $ways = [];
        foreach ($radii as [$r1, $r2]) {
            $low = $s->rules->limits->firstStraightMm + $r1 * tan($s->minAngle / 2);
            $step = ($length - $low - $s->rules->limits->lastStraightMm) / self::SCAN;
            if ($step <= 0.0) {
                continue;
            }
            for ($i = 0; $i < self::SCAN; $i++) {
                $l0 = $low + $i * $step;
                foreach (self::lastLegs($s, $l0, $length, $r1, $r2) as $l2) {
                    self::keep($ways, $s, $l0, $l2, $r1, $r2);
                    foreach ([0, 1] as $which) {
                        $snapped = self::snapped($s, $l0, $l2, $length, $r1, $r2, $which);
                        if ($snapped !== null) {
                            self::keep($ways, $s, $snapped[0], $snapped[1], $r1, $r2);
                        }
                    }
                }
            }
        }

        return $ways;
    }

    /**
     * Gives the lengths of the first and last leg for a middle leg of a given direction; where the three lie in one
     * plane with the ends, a few of many.
     *
     * @param  list<float>  $u
     * @return list<array{float, float}>
     */
    private static function legs(Span $s, array $u): array
    {
        $d = $s->across;
        [$ux, $uy, $uz] = $u;
        // D = l0 a + l1 u + l2 b by Cramer's rule.
        $cx = $uy * $s->bz - $uz * $s->by;
        $cy = $uz * $s->bx - $ux * $s->bz;
        $cz = $ux * $s->by - $uy * $s->bx;
        $det = $s->ax * $cx + $s->ay * $cy + $s->az * $cz;
        if (abs($det) > 1e-9) {
            $l0 = ($d->x * $cx + $d->y * $cy + $d->z * $cz) / $det;
            $kx = $s->ay * $d->z - $s->az * $d->y;
            $ky = $s->az * $d->x - $s->ax * $d->z;
            $kz = $s->ax * $d->y - $s->ay * $d->x;
            // l1 = a·(D×b)/det, l2 = a·(u×D)/det.
            $l1 = ($kx * $s->bx + $ky * $s->by + $kz * $s->bz) / $det;
            $l2 = -($kx * $ux + $ky * $uy + $kz * $uz) / $det;

            return $l0 > 0.0 && $l1 > 0.0 && $l2 > 0.0 ? [[$l0, $l2]] : [];
        }
        $found = [];
        for ($i = 0; $i < 10; $i++) {
            $l0 = $s->rules->limits->firstStraightMm + $s->radii[0] * (0.15 + 0.35 * $i);
            // The rest lies in the plane of u and b: least squares, kept only if it fits.
            [$x, $y, $z] = [$d->x - $l0 * $s->ax, $d->y - $l0 * $s->ay, $d->z - $l0 * $s->az];
            $ub = $ux * $s->bx + $uy * $s->by + $uz * $s->bz;
            $den = 1 - $ub * $ub;
            if ($den < 1e-9) {
                break;
            }
            [$du, $db] = [$x * $ux + $y * $uy + $z * $uz, $x * $s->bx + $y * $s->by + $z * $s->bz];
            $l1 = ($du - $ub * $db) / $den;
            $l2 = ($db - $ub * $du) / $den;
            $miss =
                abs($x - $l1 * $ux - $l2 * $s->bx) +
                abs($y - $l1 * $uy - $l2 * $s->by) +
                abs($z - $l1 * $uz - $l2 * $s->bz);
            if ($l1 > 0.0 && $l2 > 0.0 && $miss < 1e-4) {
                $found[] = [$l0, $l2];
            }
        }

        return $found;
    }

    /**
     * Between parallel ends both angles are one (or supplementary), and the middle leg may leave in many planes only if
     * the ends are in line.
     *
     * @return list<Way>
     */
    private static function betweenParallel(Span $s, float $c): array
    {
        $ways = [];
        $d = $s->across;
        $side = $d->squareTo($s->port->direction);
        $off = $side->length();
        $along = $d->dot($s->port->direction);
        if ($off < 1e-6) {
            return [];
        }
        foreach ($s->grid as $angle) {
            $l1 = $off / sin($angle);
            $rest = $along - $l1 * cos($angle);
            for ($i = 0; $i < 10; $i++) {
                $l0 = $s->rules->limits->firstStraightMm + $s->radii[0] * tan($angle / 2) + 0.35 * $i * $s->radii[0];
                $l2 = $c > 0 ? $rest - $l0 : $l0 - $rest;
                if ($l2 > 0.0) {
                    array_push($ways, ...self::withRadii($s, $l0, $l2));
                }
            }
        }

        return $ways;
    }

    /** @return list<Way> */
    private static function withRadii(Span $s, float $l0, float $l2): array
    {
        $ways = [];
        foreach ($s->radii as $r1) {
            foreach ($s->radii as $r2) {
                self::keep($ways, $s, $l0, $l2, $r1, $r2);
            }
        }

        return $ways;
    }

    /** @param  list<Way>  $ways */
    private static function keep(array &$ways, Span $s, float $l0, float $l2, float $r1, float $r2): void
    {
        [$from, $to] = [$s->port->at, $s->inlet->at];
        $way = Way::of($s, [
            $from->x + $l0 * $s->ax, $from->y + $l0 * $s->ay, $from->z + $l0 * $s->az,
            $to->x - $l2 * $s->bx, $to->y - $l2 * $s->by, $to->z - $l2 * $s->bz,
        ], [$r1, $r2]);
        if ($way->breach() <= 0.01) {
            $ways[] = $way;
        }
    }

    /** @return list<float> */
    private static function lastLegs(Span $s, float $l0, float $length, float $r1, float $r2): array
    {
        $found = [];
        $low = $s->rules->limits->lastStraightMm;
        $step = ($length - $low) / 9;
        $before = self::measure($s, $l0, $low, $r1, $r2)[0] - $length;
        for ($i = 1; $i <= 9; $i++) {
            $l2 = $low + $i * $step;
            $here = self::measure($s, $l0, $l2, $r1, $r2)[0] - $length;
            if ($before < 0.0 && $here >= 0.0 || $before >= 0.0 && $here < 0.0) {
                [$a, $b, $fa] = [$l2 - $step, $l2, $before];
                for ($k = 0; $k < 14; $k++) {
                    $middle = ($a + $b) / 2;
                    $f = self::measure($s, $l0, $middle, $r1, $r2)[0] - $length;
                    if ($f < 0.0 === $fa < 0.0) {
                        [$a, $fa] = [$middle, $f];
                    } else {
                        $b = $middle;
                    }
                }
                $found[] = ($a + $b) / 2;
            }
            $before = $here;
        }

        return $found;
    }

    /**
     * Moves both legs so that one angle comes onto the grid at the same length (Newton, two unknowns).
     *
     * @return array{float, float}|null
     */
    private static function snapped(
        Span $s,
        float $l0,
        float $l2,
        float $length,
        float $r1,
        float $r2,
        int $which,
    ): ?array {
        $step = deg2rad($s->rules->limits->grid->stepDeg);
        $now = self::measure($s, $l0, $l2, $r1, $r2);
        $goal = round($now[1 + $which] / $step) * $step;
        if ($goal < $s->minAngle || abs($now[1 + $which] - $goal) > 0.3 * $step) {
            return null;
        }
        [$x, $y] = [$l0, $l2];
        for ($i = 0; $i < 5; $i++) {
            $f = $now[0] - $length;
            $g = 100 * ($now[1 + $which] - $goal);
            if (abs($f) + abs($g) < 0.02) {
                return $x > 0.0 && $y > 0.0 && abs($x - $l0) + abs($y - $l2) < 120.0 ? [$x, $y] : null;
            }
            $dx = self::measure($s, $x + 0.1, $y, $r1, $r2);
            $dy = self::measure($s, $x, $y + 0.1, $r1, $r2);
            $fx = ($dx[0] - $now[0]) * 10;
            $fy = ($dy[0] - $now[0]) * 10;
            $gx = ($dx[1 + $which] - $now[1 + $which]) * 1000;
            $gy = ($dy[1 + $which] - $now[1 + $which]) * 1000;
            $det = $fx * $gy - $fy * $gx;
            if (abs($det) < 1e-9) {
                return null;
            }
            $x -= max(-60.0, min(60.0, ($f * $gy - $g * $fy) / $det));
            $y -= max(-60.0, min(60.0, ($g * $fx - $f * $gx) / $det));
            $now = self::measure($s, $x, $y, $r1, $r2);
        }

        return null;
    }

    /** @return array{float, float, float} length along the centreline, and both angles */
    private static function measure(Span $s, float $l0, float $l2, float $r1, float $r2): array
    {
        $d = $s->across;
        $x = $d->x - $l0 * $s->ax - $l2 * $s->bx;
        $y = $d->y - $l0 * $s->ay - $l2 * $s->by;
        $z = $d->z - $l0 * $s->az - $l2 * $s->bz;
        $l1 = sqrt($x * $x + $y * $y + $z * $z);
        if ($l1 < 1e-9) {
            return [$l0 + $l2, 0.0, 0.0];
        }
        $c1 = ($x * $s->ax + $y * $s->ay + $z * $s->az) / $l1;
        $c2 = ($x * $s->bx + $y * $s->by + $z * $s->bz) / $l1;
        // Beyond about 170° the legs would be endless; held there, the length stays finite.
        $c1 = $c1 < -0.985 ? -0.985 : ($c1 > 1.0 ? 1.0 : $c1);
        $c2 = $c2 < -0.985 ? -0.985 : ($c2 > 1.0 ? 1.0 : $c2);
        $t1 = acos($c1);
        $t2 = acos($c2);

        return [
            $l0 +
            $l1 +
            $l2 -
            $r1 * (2 * sqrt((1 - $c1) / (1 + $c1)) - $t1) -
            $r2 * (2 * sqrt((1 - $c2) / (1 + $c2)) - $t2),
            $t1,
            $t2,
        ];
    }
}
