<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Clearance;

/**
 * Two straight lines of given length where they are nearest: clamped to both [Ericson, Real-Time Collision Detection,
 * 5.1.9].
 */
final readonly class LinePair
{
    /** Lines this near to parallel have no one nearest point (mm⁴). */
    private const PARALLEL = 1e-9;

    /** A line this short is a point (mm²). */
    private const POINT = 1e-12;

    /**
     * Lines p + s·u and q + t·v, s and t from 0 to 1, with r = p − q.
     *
     * @return array{float, float, float} s, t, and the square of the distance there
     */
    public static function nearest(
        float $ux,
        float $uy,
        float $uz,
        float $vx,
        float $vy,
        float $vz,
        float $rx,
        float $ry,
        float $rz,
    ): array {
        $a = $ux * $ux + $uy * $uy + $uz * $uz;
        $e = $vx * $vx + $vy * $vy + $vz * $vz;
        $b = $ux * $vx + $uy * $vy + $uz * $vz;
        $c = $ux * $rx + $uy * $ry + $uz * $rz;
        $f = $vx * $rx + $vy * $ry + $vz * $rz;
        $denominator = $a * $e - $b * $b;
        $s = $denominator > self::PARALLEL ? max(0.0, min(1.0, ($b * $f - $c * $e) / $denominator)) : 0.0;
        $t = $e > self::POINT ? ($b * $s + $f) / $e : 0.0;
        if ($t < 0.0 || $t > 1.0 || $e <= self::POINT) {
            $t = $t > 1.0 ? 1.0 : 0.0;
            $s = $a > self::POINT ? max(0.0, min(1.0, ($b * $t - $c) / $a)) : 0.0;
        }
        $x = $rx + $s * $ux - $t * $vx;
        $y = $ry + $s * $uy - $t * $vy;
        $z = $rz + $s * $uz - $t * $vz;

        return [$s, $t, $x * $x + $y * $y + $z * $z];
    }
}
