<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Directions;

/**
 * Ways with four bends, drawn: directions from both ends on the grid, one inner leg given outright, the rest solved.
 */
final readonly class FourBends
{
    private const MOST_TURNING = 6.9;

    /** One way drawn by chance: of a length (mm), or of any. Null where the draw leads nowhere. */
    public static function drawn(Span $s, ?float $length, Chance $chance): ?Way
    {
        $a = [$s->ax, $s->ay, $s->az];
        $b = [$s->bx, $s->by, $s->bz];
        $count = count($s->grid);
        $angles = [];
        for ($i = 0; $i < 4; $i++) {
            // The smaller of two draws: gentle bends are the likelier to fit.
            $angles[] = $s->grid[min($chance->below($count), $chance->below($count))];
        }
        $radii = $s->smallestRadii($angles);
        if (array_sum($angles) > self::MOST_TURNING || $radii === null) {
            return null;
        }
        $u = Directions::turned($a, $b, $angles[0], 2 * M_PI * $chance->share());
        $w = Directions::turned($b, $a, $angles[3], 2 * M_PI * $chance->share());
        $meeting = Directions::meeting($u, $angles[1], $w, $angles[2]);
        if ($meeting === []) {
            return null;
        }
        $legs = [$a, $u, $meeting[$chance->below(count($meeting))], $w, $b];
        $back = [];
        $shrink = 0.0;
        foreach ($angles as $i => $angle) {
            $back[] = $radii[$i] * tan($angle / 2);
            $shrink += 2 * $back[$i] - $radii[$i] * $angle;
        }
        $inner = $s->rules->limits->innerStraightMm + 1e-3;
        $least = [
            $s->rules->limits->firstStraightMm + $back[0] + 1e-3,
            $back[0] + $back[1] + $inner,
            $back[1] + $back[2] + $inner,
            $back[2] + $back[3] + $inner,
            $back[3] + $s->rules->limits->lastStraightMm + 1e-3,
        ];
        $given = 1 + $chance->below(3);
        $size = $least[$given] + 90.0 * $chance->share() ** 2;
        $lengths = self::others($s, $legs, $least, $given, $size, $length === null ? null : $length + $shrink);

        return $lengths === null ? null : Way::of($s, self::vertices($s, $legs, $lengths), $radii);
    }

    /**
     * @param  array{list<float>, list<float>, list<float>, list<float>, list<float>}  $legs
     * @param  list<float>  $least
     * @param  ?float  $sum  what the legs must add up to
     * @return list<float>|null all five lengths
     */
    private static function others(Span $s, array $legs, array $least, int $given, float $size, ?float $sum): ?array
    {
        $four = array_values(array_diff_key($legs, [$given => true]));
        $solved = Directions::solved([$four[0], $four[1], $four[2], $four[3]]);
        if ($solved === null) {
            return null;
        }
        [$free, $rows, $slopes] = $solved;
        $floor = array_values(array_diff_key($least, [$given => true]));
        [$x, $y, $z] = [
            $s->across->x - $size * $legs[$given][0],
            $s->across->y - $size * $legs[$given][1],
            $s->across->z - $size * $legs[$given][2],
        ];
        [$low, $high, $slope, $total] = [$floor[$free], 1e5, 1.0, 0.0];
        $base = [];
        for ($k = 0; $k < 3; $k++) {
            $base[] = $p = $rows[3 * $k] * $x + $rows[3 * $k + 1] * $y + $rows[3 * $k + 2] * $z;
            $room = $floor[$k < $free ? $k : $k + 1] - $p;
            if ($slopes[$k] > 1e-9) {
                $low = max($low, $room / $slopes[$k]);
            } elseif ($slopes[$k] < -1e-9) {
                $high = min($high, $room / $slopes[$k]);
            } elseif ($room > 0.0) {
                return null;
            }
            $slope += $slopes[$k];
            $total += $p;
        }
        if ($sum !== null && abs($slope) < 1e-6) {
            return null;
        }
        $t = $sum === null ? ($slope >= 0.0 ? $low : $high) : ($sum - $size - $total) / $slope;
        if ($low > $high || $t < $low || $t > $high) {
            return null;
        }
        $lengths = [];
        $k = 0;
        for ($leg = 0; $leg < 5; $leg++) {
            if ($leg === $given) {
                $lengths[] = $size;
            } else {
                $place = $leg < $given ? $leg : $leg - 1;
                $lengths[] = $place === $free ? $t : $base[$k] + $slopes[$k++] * $t;
            }
        }

        return $lengths;
    }

    /**
     * @param  list<list<float>>  $legs
     * @param  list<float>  $lengths
     * @return list<float>
     */
    private static function vertices(Span $s, array $legs, array $lengths): array
    {
        [$x, $y, $z] = $s->port->at->toArray();
        $vertices = [];
        for ($leg = 0; $leg < 4; $leg++) {
            $x += $lengths[$leg] * $legs[$leg][0];
            $y += $lengths[$leg] * $legs[$leg][1];
            $z += $lengths[$leg] * $legs[$leg][2];
            array_push($vertices, $x, $y, $z);
        }

        return $vertices;
    }
}
