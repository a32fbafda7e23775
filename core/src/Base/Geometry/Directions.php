<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry;

/**
 * Unit directions as three floats, for inner loops: turned about each other, met by cones, and taken as the legs of a
 * closed chain. Angles in radians.
 */
final readonly class Directions
{
    /** The square of the sine from which two directions are parallel, and three lie in one plane. */
    private const PARALLEL = 1e-9;

    /** Cones that meet this little apart touch. */
    private const TOUCHING = 1e-7;

    private const ROUNDING = 1e-12;

    /** Four legs whose every three enclose less than this lie in one plane. */
    private const FLAT = 1e-4;

    /**
     * Gives a direction at an angle from an axis, turned about it from the plane that holds another direction. Angles
     * in radians.
     *
     * @param  list<float>  $axis
     * @param  list<float>  $towards
     * @return list<float>
     */
    public static function turned(array $axis, array $towards, float $angle, float $azimuth): array
    {
        [$x, $y, $z] = $axis;
        $c = $x * $towards[0] + $y * $towards[1] + $z * $towards[2];
        $e = [$towards[0] - $c * $x, $towards[1] - $c * $y, $towards[2] - $c * $z];
        $size = sqrt($e[0] ** 2 + $e[1] ** 2 + $e[2] ** 2);
        if ($size < 1e-6) {
            $e = abs($x) < 0.8 ? [0.0, -$z, $y] : [$z, 0.0, -$x];
            $size = sqrt($e[0] ** 2 + $e[1] ** 2 + $e[2] ** 2);
        }
        [$ex, $ey, $ez] = [$e[0] / $size, $e[1] / $size, $e[2] / $size];
        [$fx, $fy, $fz] = [$y * $ez - $z * $ey, $z * $ex - $x * $ez, $x * $ey - $y * $ex];
        [$cos, $s, $t] = [cos($angle), sin($angle) * cos($azimuth), sin($angle) * sin($azimuth)];

        return [$cos * $x + $s * $ex + $t * $fx, $cos * $y + $s * $ey + $t * $fy, $cos * $z + $s * $ez + $t * $fz];
    }

    /**
     * Gives the directions at one angle from a first and at another from a second: where two cones meet.
     *
     * @param  list<float>  $a
     * @param  list<float>  $b
     * @return list<list<float>> two, one where the cones touch, or none
     */
    public static function meeting(array $a, float $alpha, array $b, float $beta): array
    {
        $c = $a[0] * $b[0] + $a[1] * $b[1] + $a[2] * $b[2];
        $square = 1 - $c * $c;
        if ($square < self::PARALLEL) {
            return [];
        }
        $p = (cos($alpha) - $c * cos($beta)) / $square;
        $q = (cos($beta) - $c * cos($alpha)) / $square;
        $rest = (1 - $p * $p - $q * $q - 2 * $p * $q * $c) / $square;
        if ($rest < -self::ROUNDING) {
            return [];
        }
        $r = sqrt(max($rest, 0.0));
        $n = [$a[1] * $b[2] - $a[2] * $b[1], $a[2] * $b[0] - $a[0] * $b[2], $a[0] * $b[1] - $a[1] * $b[0]];
        $found = [];
        foreach ($r < self::TOUCHING ? [0.0] : [$r, -$r] as $side) {
            $found[] = [
                $p * $a[0] + $q * $b[0] + $side * $n[0],
                $p * $a[1] + $q * $b[1] + $side * $n[1],
                $p * $a[2] + $q * $b[2] + $side * $n[2],
            ];
        }

        return $found;
    }

    /**
     * The lengths of three legs of known directions that lead across: l0·a + l1·u + l2·b = d by Cramer's rule.
     *
     * @param  list<float>  $a
     * @param  list<float>  $u
     * @param  list<float>  $b
     * @param  list<float>  $d
     * @return array{float, float, float}|null null if the three directions lie in one plane
     */
    public static function lengths(array $a, array $u, array $b, array $d): ?array
    {
        $cx = $u[1] * $b[2] - $u[2] * $b[1];
        $cy = $u[2] * $b[0] - $u[0] * $b[2];
        $cz = $u[0] * $b[1] - $u[1] * $b[0];
        $det = $a[0] * $cx + $a[1] * $cy + $a[2] * $cz;
        if (abs($det) <= self::PARALLEL) {
            return null;
        }
        $kx = $a[1] * $d[2] - $a[2] * $d[1];
        $ky = $a[2] * $d[0] - $a[0] * $d[2];
        $kz = $a[0] * $d[1] - $a[1] * $d[0];

        // l1 = a·(d×b)/det, l2 = a·(u×d)/det.
        return [
            ($d[0] * $cx + $d[1] * $cy + $d[2] * $cz) / $det,
            ($kx * $b[0] + $ky * $b[1] + $kz * $b[2]) / $det,
            -($kx * $u[0] + $ky * $u[1] + $kz * $u[2]) / $det,
        ];
    }

    /**
     * Works out how three of four leg lengths follow from the way across and the fourth.
     *
     * @param  array{list<float>, list<float>, list<float>, list<float>}  $legs
     * @return array{int, list<float>, list<float>}|null the free leg; three rows that give the others from the way across;
     *                                                   how they change with the free one. Null if all lie in one
     *                                                   plane.
     */
    public static function solved(array $legs): ?array
    {
        // The leg without which the other three are furthest from one plane is the best to leave free.
        $free = 0;
        $best = 0.0;
        foreach ([[1, 2, 3], [0, 2, 3], [0, 1, 3], [0, 1, 2]] as $i => [$p, $q, $r]) {
            $volume = self::volume($legs[$p], $legs[$q], $legs[$r]);
            if (abs($volume) > abs($best)) {
                [$best, $free] = [$volume, $i];
            }
        }
        if (abs($best) < self::FLAT) {
            return null;
        }
        [$x, $y, $z] = match ($free) {
            0 => [$legs[1], $legs[2], $legs[3]],
            1 => [$legs[0], $legs[2], $legs[3]],
            2 => [$legs[0], $legs[1], $legs[3]],
            default => [$legs[0], $legs[1], $legs[2]],
        };
        $f = $legs[$free];
        $rows = $slopes = [];
        foreach ([[$y, $z], [$z, $x], [$x, $y]] as [$m, $n]) {
            $p = ($m[1] * $n[2] - $m[2] * $n[1]) / $best;
            $q = ($m[2] * $n[0] - $m[0] * $n[2]) / $best;
            $r = ($m[0] * $n[1] - $m[1] * $n[0]) / $best;
            array_push($rows, $p, $q, $r);
            $slopes[] = -($p * $f[0] + $q * $f[1] + $r * $f[2]);
        }

        return [$free, $rows, $slopes];
    }

    /**
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @param  list<float>  $z
     */
    private static function volume(array $x, array $y, array $z): float
    {
        return $x[0] * ($y[1] * $z[2] - $y[2] * $z[1]) +
            $x[1] * ($y[2] * $z[0] - $y[0] * $z[2]) +
            $x[2] * ($y[0] * $z[1] - $y[1] * $z[0]);
    }
}
