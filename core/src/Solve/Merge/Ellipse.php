<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge;

/** The edge of a tube that is cut by a plane. */
final readonly class Ellipse
{
    /**
     * Length all the way round, by the arithmetic-geometric mean (Gauss; the series is in every table of elliptic
     * integrals).
     *
     * @param  float  $a  half of one axis, $b half of the other; any unit
     */
    public static function perimeter(float $a, float $b): float
    {
        [$x, $y] = [max($a, $b), min($a, $b)];
        if ($y <= 0.0) {
            return 4.0 * $x;
        }
        $sum = $x ** 2 - ($x ** 2 - $y ** 2) / 2;
        $share = 0.5;
        while (abs($x - $y) > 1e-13 * $x) {
            [$x, $y, $apart] = [($x + $y) / 2, sqrt($x * $y), ($x - $y) / 2];
            $share *= 2.0;
            $sum -= $share * $apart ** 2;
        }

        return 2 * M_PI * $sum / $x;
    }
}
