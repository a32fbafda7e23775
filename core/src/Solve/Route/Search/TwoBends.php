<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Directions;

/**
 * Ways with two bends: the family of TwoBendFamily, as flat floats for the inner loops of a search. The lengths of the
 * first and the last leg are free, so at a given length there is a curve of them, and few with both angles on the grid.
 * Flat floats throughout: first leg, last leg, and both radii of each.
 */
final readonly class TwoBends
{
    /** Steps of the first leg in which one length is scanned, and of the last leg between which it is halved. */
    private const SCAN = 34;

    private const BRACKETS = 9;

    private const HALVINGS = 14;

    /** First legs that are tried where the lengths are free, from this share of the least radius on, in such steps. */
    private const FREE_LEGS = 10;

    private const FREE_FROM = 0.15;

    private const FREE_STEP = 0.35;

    /** The square of the sine from which two ends are parallel, and a determinant is 0. */
    private const PARALLEL = 1e-9;

    /** Legs in one plane that miss the end by more (mm) do not lead there. */
    private const MISSES = 1e-4;

    /** What a way may breach its rules by (mm), for rounding. */
    private const BREACH = 0.01;

    /** An angle this near to the grid, as a share of its step, is drawn onto it. */
    private const DRAWN = 0.3;

    /** Newton's steps for that; what counts as there (mm, with 100 mm for a radian); the longest step and way, mm. */
    private const NEWTON = 5;

    private const MM_PER_RAD = 100;

    private const THERE = 0.02;

    private const MOST_STEP = 60.0;

    private const MOST_AWAY = 120.0;

    /** Slopes are taken over this, mm. */
    private const SLOPE_MM = 0.1;

    /** Beyond about 170° the legs would be endless; held there, the length stays finite. */
    private const LEAST_COS = -0.985;

    /**
     * Finds every way with both angles on the grid, whatever its length.
     *
     * @return list<Way>
     */
    public static function onGrid(Span $s): array
    {
        $ways = [];
        [$a, $b] = [[$s->ax, $s->ay, $s->az], [$s->bx, $s->by, $s->bz]];
        $c = $s->port->direction->dot($s->inlet->direction);
        if (1 - $c * $c < self::PARALLEL) {
            return self::betweenParallel($s, $c);
        }
        foreach ($s->grid as $first) {
            foreach ($s->grid as $second) {
                foreach (Directions::meeting($a, $first, $b, $second) as $middle) {
                    foreach (self::legs($s, $middle) as [$l0, $l2]) {
                        array_push($ways, ...self::withRadii($s, $l0, $l2));
                    }
                }
            }
        }

        return $ways;
    }

    /**
     * Scans the ways of one length: first legs in steps, the last leg by bisection; and from each, where an angle comes
     * onto the grid nearby. Lengths and radii in mm.
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
        $lengths = Directions::lengths([$s->ax, $s->ay, $s->az], $u, [$s->bx, $s->by, $s->bz], $d->toArray());
        if ($lengths !== null) {
            return min($lengths) > 0.0 ? [[$lengths[0], $lengths[2]]] : [];
        }
        $found = [];
        for ($i = 0; $i < self::FREE_LEGS; $i++) {
            $l0 = $s->rules->limits->firstStraightMm + $s->radii[0] * (self::FREE_FROM + self::FREE_STEP * $i);
            // The rest lies in the plane of u and b: least squares, kept only if it fits.
            [$x, $y, $z] = [$d->x - $l0 * $s->ax, $d->y - $l0 * $s->ay, $d->z - $l0 * $s->az];
            $ub = $ux * $s->bx + $uy * $s->by + $uz * $s->bz;
            $den = 1 - $ub * $ub;
            if ($den < self::PARALLEL) {
                break;
            }
            [$du, $db] = [$x * $ux + $y * $uy + $z * $uz, $x * $s->bx + $y * $s->by + $z * $s->bz];
            $l1 = ($du - $ub * $db) / $den;
            $l2 = ($db - $ub * $du) / $den;
            $miss =
                abs($x - $l1 * $ux - $l2 * $s->bx) +
                abs($y - $l1 * $uy - $l2 * $s->by) +
                abs($z - $l1 * $uz - $l2 * $s->bz);
            if ($l1 > 0.0 && $l2 > 0.0 && $miss < self::MISSES) {
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
            for ($i = 0; $i < self::FREE_LEGS; $i++) {
                $l0 =
                    $s->rules->limits->firstStraightMm +
                    $s->radii[0] * tan($angle / 2) +
                    self::FREE_STEP * $i * $s->radii[0];
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
        if ($way->breach() <= self::BREACH) {
            $ways[] = $way;
        }
    }

    /** @return list<float> */
    private static function lastLegs(Span $s, float $l0, float $length, float $r1, float $r2): array
    {
        $found = [];
        $low = $s->rules->limits->lastStraightMm;
        $step = ($length - $low) / self::BRACKETS;
        $before = self::measure($s, $l0, $low, $r1, $r2)[0] - $length;
        for ($i = 1; $i <= self::BRACKETS; $i++) {
            $l2 = $low + $i * $step;
            $here = self::measure($s, $l0, $l2, $r1, $r2)[0] - $length;
            if ($before < 0.0 && $here >= 0.0 || $before >= 0.0 && $here < 0.0) {
                [$a, $b, $fa] = [$l2 - $step, $l2, $before];
                for ($k = 0; $k < self::HALVINGS; $k++) {
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
        if ($goal < $s->minAngle || abs($now[1 + $which] - $goal) > self::DRAWN * $step) {
            return null;
        }
        [$x, $y] = [$l0, $l2];
        for ($i = 0; $i < self::NEWTON; $i++) {
            $f = $now[0] - $length;
            $g = self::MM_PER_RAD * ($now[1 + $which] - $goal);
            if (abs($f) + abs($g) < self::THERE) {
                $away = abs($x - $l0) + abs($y - $l2);

                return $x > 0.0 && $y > 0.0 && $away < self::MOST_AWAY ? [$x, $y] : null;
            }
            $dx = self::measure($s, $x + self::SLOPE_MM, $y, $r1, $r2);
            $dy = self::measure($s, $x, $y + self::SLOPE_MM, $r1, $r2);
            $fx = ($dx[0] - $now[0]) / self::SLOPE_MM;
            $fy = ($dy[0] - $now[0]) / self::SLOPE_MM;
            $gx = ($dx[1 + $which] - $now[1 + $which]) * (self::MM_PER_RAD / self::SLOPE_MM);
            $gy = ($dy[1 + $which] - $now[1 + $which]) * (self::MM_PER_RAD / self::SLOPE_MM);
            $det = $fx * $gy - $fy * $gx;
            if (abs($det) < self::PARALLEL) {
                return null;
            }
            $x -= self::held(($f * $gy - $g * $fy) / $det);
            $y -= self::held(($g * $fx - $f * $gx) / $det);
            $now = self::measure($s, $x, $y, $r1, $r2);
        }

        return null;
    }

    private static function held(float $step): float
    {
        return max(-self::MOST_STEP, min(self::MOST_STEP, $step));
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
        $c1 = $c1 < self::LEAST_COS ? self::LEAST_COS : ($c1 > 1.0 ? 1.0 : $c1);
        $c2 = $c2 < self::LEAST_COS ? self::LEAST_COS : ($c2 > 1.0 ? 1.0 : $c2);
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
