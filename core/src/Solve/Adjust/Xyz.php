<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * Sums with three numbers. Plain lists instead of vectors: a survey is worked out again with every digit that is typed.
 *
 * @phpstan-type Triple array{float, float, float}
 */
final readonly class Xyz
{
    public const ZERO = [0.0, 0.0, 0.0];

    /** Forward, left, up. */
    public const AXES = [[1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.0, 0.0, 1.0]];

    /** An axis that stands steeper than this has its sideways line from forward, not from up. */
    private const STEEP = 0.9;

    /**
     * @param  Triple  $a
     * @param  Triple  $b
     */
    public static function dot(array $a, array $b): float
    {
        return $a[0] * $b[0] + $a[1] * $b[1] + $a[2] * $b[2];
    }

    /**
     * @param  Triple  $a
     * @param  Triple  $b
     * @return Triple
     */
    public static function cross(array $a, array $b): array
    {
        return [$a[1] * $b[2] - $a[2] * $b[1], $a[2] * $b[0] - $a[0] * $b[2], $a[0] * $b[1] - $a[1] * $b[0]];
    }

    /**
     * @param  Triple  $a
     * @param  Triple  $b
     * @return Triple a + share × b
     */
    public static function plus(array $a, array $b, float $share = 1.0): array
    {
        return [$a[0] + $share * $b[0], $a[1] + $share * $b[1], $a[2] + $share * $b[2]];
    }

    /**
     * @param  Triple  $a
     * @param  Triple  $b
     * @return Triple
     */
    public static function minus(array $a, array $b): array
    {
        return [$a[0] - $b[0], $a[1] - $b[1], $a[2] - $b[2]];
    }

    /**
     * @param  Triple  $a
     * @return Triple
     */
    public static function times(array $a, float $factor): array
    {
        return [$factor * $a[0], $factor * $a[1], $factor * $a[2]];
    }

    /** @param  Triple  $a */
    public static function length(array $a): float
    {
        return sqrt(self::dot($a, $a));
    }

    /**
     * @param  Triple  $a
     * @return Triple of length 1; forward where it has no length
     */
    public static function unit(array $a): array
    {
        $length = self::length($a);

        return $length < 1e-12 ? [1.0, 0.0, 0.0] : self::times($a, 1 / $length);
    }

    /**
     * The fixed line that an axis' sideways line is square to: up, or forward where the axis is steep.
     *
     * @param  Triple  $axis
     * @return Triple
     */
    public static function from(array $axis): array
    {
        return abs($axis[2]) > self::STEEP ? [1.0, 0.0, 0.0] : [0.0, 0.0, 1.0];
    }

    /**
     * Two lines square to an axis and to each other.
     *
     * @param  Triple  $axis  of length 1
     * @return array{Triple, Triple}
     */
    public static function across(array $axis): array
    {
        $h = self::unit(self::cross(self::from($axis), $axis));

        return [$h, self::cross($axis, $h)];
    }

    /**
     * How q · h(axis) changes with the axis, h its first line across.
     *
     * @param  Triple  $q
     * @param  Triple  $axis
     * @return Triple
     */
    public static function byAxisH(array $q, array $axis): array
    {
        $from = self::from($axis);
        $m = self::cross($from, $axis);
        $long = max(1e-12, self::length($m));
        $h = self::times($m, 1 / $long);

        return self::cross(self::times(self::plus($q, $h, -self::dot($q, $h)), 1 / $long), $from);
    }

    /**
     * How q · v(axis) changes with the axis, v = axis × h.
     *
     * @param  Triple  $q
     * @param  Triple  $axis
     * @return Triple
     */
    public static function byAxisV(array $q, array $axis): array
    {
        [$h] = self::across($axis);

        return self::plus(self::cross($h, $q), self::byAxisH(self::cross($q, $axis), $axis));
    }

    /** An angle between −180 (without it) and 180 degrees. */
    public static function wrapped(float $deg): float
    {
        $left = fmod($deg, 360.0);

        return match (true) {
            $left > 180.0 => $left - 360.0,
            $left <= -180.0 => $left + 360.0,
            default => $left,
        };
    }

    /**
     * @param  Triple  $a  both of length 1
     * @param  Triple  $b
     */
    public static function angleDeg(array $a, array $b): float
    {
        return rad2deg(atan2(self::length(self::cross($a, $b)), self::dot($a, $b)));
    }
}
