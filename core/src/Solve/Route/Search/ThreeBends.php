<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Directions;
use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * Three bends with every angle on the grid: the first inner direction turned about the port's, the second where its
 * cone meets that of the inlet. With the four directions known, closure is linear in the four leg lengths, so three
 * follow from the way across and one is free; the length of the tube follows that one in a straight line.
 *
 * Directions are shared by all spans between the same two end directions, and so is all that can be worked out from
 * them. They lie in one flat list, as tens of thousands of them are gone through for every span and length.
 */
final class ThreeBends
{
    /**
     * Floats to each: u (0–2), v (3–5), angles (6–8), free leg (9), rows (10–18), slopes (19–21), least legs (22–25),
     * shrink (26).
     */
    public const SIZE = 27;

    /** Beyond this much turning in all a way is left out: it would be long and dear. */
    private const MOST_TURNING = 5.0;

    /** @var array<string, list<float>> */
    private array $known = [];

    public function __construct(private readonly Chance $chance, private readonly int $azimuths = 24) {}

    /** @return list<float> least turning first */
    public function of(Span $s): array
    {
        $key = sprintf(
            '%.6f,%.6f,%.6f|%.6f,%.6f,%.6f|%s',
            $s->ax,
            $s->ay,
            $s->az,
            $s->bx,
            $s->by,
            $s->bz,
            $s->port->tube->name,
        );

        return $this->known[$key] ??= $this->lay($s);
    }

    /**
     * Goes through all of them for one span.
     *
     * @param  list<float>  $all
     * @param  ?float  $length  of the tube; null where any will do
     * @param  float  $extra  mm that the free leg has beyond its least where any length will do
     * @return list<array{int, float}> where it lies in the list, and the length of its free leg
     */
    public static function reaching(array $all, Span $span, ?float $length, float $extra = 0.0): array
    {
        $d = $span->across;
        $dx = $d->x;
        $dy = $d->y;
        $dz = $d->z;
        $found = [];
        $end = count($all);
        for ($i = 0; $i < $end; $i += self::SIZE) {
            $p0 = $all[$i + 10] * $dx + $all[$i + 11] * $dy + $all[$i + 12] * $dz;
            $p1 = $all[$i + 13] * $dx + $all[$i + 14] * $dy + $all[$i + 15] * $dz;
            $p2 = $all[$i + 16] * $dx + $all[$i + 17] * $dy + $all[$i + 18] * $dz;
            $m0 = $all[$i + 19];
            $m1 = $all[$i + 20];
            $m2 = $all[$i + 21];
            $free = (int) $all[$i + 9];
            $low = $all[$i + 22 + $free];
            $high = 1e5;
            $r0 = $all[$i + ($free === 0 ? 23 : 22)] - $p0;
            $r1 = $all[$i + ($free <= 1 ? 24 : 23)] - $p1;
            $r2 = $all[$i + ($free <= 2 ? 25 : 24)] - $p2;
            if ($m0 > 1e-9) {
                $low = $r0 / $m0 > $low ? $r0 / $m0 : $low;
            } elseif ($m0 < -1e-9) {
                $high = $r0 / $m0 < $high ? $r0 / $m0 : $high;
            } elseif ($r0 > 0.0) {
                continue;
            }
            if ($m1 > 1e-9) {
                $low = $r1 / $m1 > $low ? $r1 / $m1 : $low;
            } elseif ($m1 < -1e-9) {
                $high = $r1 / $m1 < $high ? $r1 / $m1 : $high;
            } elseif ($r1 > 0.0) {
                continue;
            }
            if ($m2 > 1e-9) {
                $low = $r2 / $m2 > $low ? $r2 / $m2 : $low;
            } elseif ($m2 < -1e-9) {
                $high = $r2 / $m2 < $high ? $r2 / $m2 : $high;
            } elseif ($r2 > 0.0) {
                continue;
            }
            if ($low > $high) {
                continue;
            }
            $slope = 1.0 + $m0 + $m1 + $m2;
            if ($length === null) {
                $found[] = [
                    $i,
                    $slope >= 0.0
                        ? ($low + $extra < $high
                            ? $low + $extra
                            : $high)
                        : ($high - $extra > $low
                            ? $high - $extra
                            : $low),
                ];

                continue;
            }
            $t = ($length + $all[$i + 26] - $p0 - $p1 - $p2) / ($slope > 1e-6 || $slope < -1e-6 ? $slope : 1e-6);
            if ($t >= $low && $t <= $high) {
                $found[] = [$i, $t];
            }
        }

        return $found;
    }

    /**
     * The three inner vertices for one of them. In mm.
     *
     * @param  list<float>  $all
     * @return list<float>
     */
    public static function vertices(array $all, int $i, float $free, Span $span): array
    {
        $d = $span->across;
        $legs = [];
        $k = 0;
        for ($leg = 0; $leg < 3; $leg++) {
            if ($leg === (int) $all[$i + 9]) {
                $legs[] = $free;

                continue;
            }
            $legs[] =
                $all[$i + 10 + 3 * $k] * $d->x +
                $all[$i + 11 + 3 * $k] * $d->y +
                $all[$i + 12 + 3 * $k] * $d->z +
                $all[$i + 19 + $k] * $free;
            $k++;
        }
        $x = $span->port->at->x + $legs[0] * $span->ax;
        $y = $span->port->at->y + $legs[0] * $span->ay;
        $z = $span->port->at->z + $legs[0] * $span->az;
        $vertices = [$x, $y, $z];
        for ($leg = 1; $leg < 3; $leg++) {
            $x += $legs[$leg] * $all[$i + 3 * $leg - 3];
            $y += $legs[$leg] * $all[$i + 3 * $leg - 2];
            $z += $legs[$leg] * $all[$i + 3 * $leg - 1];
            array_push($vertices, $x, $y, $z);
        }

        return $vertices;
    }

    /** @return list<float> */
    private function lay(Span $s): array
    {
        $a = [$s->ax, $s->ay, $s->az];
        $b = [$s->bx, $s->by, $s->bz];
        $shift = $this->chance->share();
        /** @var array<int, list<list<float>>> $byTurning */
        $byTurning = [];
        $turns = [];
        // All angles at each azimuth in turn: those that turn alike are then met in a good mixture.
        for ($i = 0; $i < $this->azimuths; $i++) {
            foreach ($s->grid as $first) {
                $turns[] = [$first, Directions::turned($a, $b, $first, 2 * M_PI * ($i + $shift) / $this->azimuths)];
            }
        }
        foreach ($s->grid as $first) {
            array_push(
                $turns,
                ...array_map(static fn (array $u): array => [$first, $u], self::inPlanes($s, $a, $first)),
            );
        }
        foreach ($turns as [$first, $u]) {
            foreach ($s->grid as $second) {
                foreach ($s->grid as $third) {
                    foreach (Directions::meeting($u, $second, $b, $third) as $v) {
                        self::add($byTurning, $s, [$a, $u, $v, $b], [$first, $second, $third]);
                    }
                }
            }
        }
        // Where bends are to lie in planes, the last one too is turned in them first.
        foreach ($s->grid as $third) {
            foreach (self::inPlanes($s, $b, $third) as $v) {
                foreach ($s->grid as $second) {
                    foreach ($s->grid as $first) {
                        foreach (Directions::meeting($a, $first, $v, $second) as $u) {
                            self::add($byTurning, $s, [$a, $u, $v, $b], [$first, $second, $third]);
                        }
                    }
                }
            }
        }
        ksort($byTurning);

        return array_merge(...array_merge([[]], ...array_values($byTurning)));
    }

    /**
     * The directions at an angle from an axis that the chosen planes, or those nearest to them that hold the axis,
     * lead to.
     *
     * @param  array{float, float, float}  $axis
     * @return list<array{float, float, float}>
     */
    private static function inPlanes(Span $s, array $axis, float $angle): array
    {
        $found = [];
        $along = new Vector(...$axis);
        foreach ($s->rules->weights->planes as $plane) {
            $side = $plane->cross($along);
            if ($side->length() > 0.5) {
                foreach ([1.0, -1.0] as $sense) {
                    $found[] = $along->times(cos($angle))->plus($side->unit()->times($sense * sin($angle)))->toArray();
                }
            }
        }

        return $found;
    }

    /**
     * @param  array<int, list<list<float>>>  $byTurning
     * @param  array{list<float>, list<float>, list<float>, list<float>}  $legs
     * @param  array{float, float, float}  $angles
     */
    private static function add(array &$byTurning, Span $s, array $legs, array $angles): void
    {
        $turning = array_sum($angles);
        $one = $turning > self::MOST_TURNING ? null : self::one($s, $legs, $angles);
        if ($one !== null) {
            $byTurning[(int) round(100 * $turning)][] = $one;
        }
    }

    /**
     * @param  array{list<float>, list<float>, list<float>, list<float>}  $legs
     * @param  array{float, float, float}  $angles
     * @return list<float>|null null if the directions lie in one plane, or no stocked bend has such an angle
     */
    private static function one(Span $span, array $legs, array $angles): ?array
    {
        $solved = Directions::solved($legs);
        $radii = $span->smallestRadii($angles);
        if ($solved === null || $radii === null) {
            return null;
        }
        [$free, $rows, $slopes] = $solved;
        $back = $shrink = [0.0, 0.0, 0.0];
        foreach ($angles as $k => $angle) {
            $back[$k] = $radii[$k] * tan($angle / 2);
            $shrink[$k] = 2 * $back[$k] - $radii[$k] * $angle;
        }
        $rules = $span->rules;

        return [
            ...$legs[1], ...$legs[2], ...$angles, (float) $free, ...$rows, ...$slopes,
            $rules->limits->firstStraightMm + $back[0] + 1e-3,
            $back[0] + $back[1] + $rules->limits->innerStraightMm + 1e-3,
            $back[1] + $back[2] + $rules->limits->innerStraightMm + 1e-3,
            $back[2] + $rules->limits->lastStraightMm + 1e-3,
            array_sum($shrink),
        ];
    }
}
