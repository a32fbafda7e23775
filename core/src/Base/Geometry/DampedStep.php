<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry;

/**
 * One step of damped least squares: Levenberg and Marquardt's method, as any book on numerical optimisation has it
 * (from memory).
 */
final readonly class DampedStep
{
    /** The least that a pivot counts as, so that a value which nothing depends on stays where it is. */
    private const LEAST_PIVOT = 1e-9;

    /**
     * Solves (N + λ(D + f)) x = r by Cholesky, D being the diagonal of N.
     *
     * @param  array<int, array<int, float>>  $normal  N = JᵀJ, symmetric
     * @param  array<int, float>  $right  r = −Jᵀ·error
     * @param  float  $damping  λ, above 0
     * @param  float  $floor  f, in units of N: how much a value is held that hardly anything depends on
     * @return array<int, float> x
     */
    public static function of(array $normal, array $right, float $damping, float $floor): array
    {
        $n = count($right);
        $l = array_fill(0, $n, array_fill(0, $n, 0.0));
        for ($i = 0; $i < $n; $i++) {
            for ($j = 0; $j <= $i; $j++) {
                $sum = $normal[$i][$j] + ($i === $j ? $damping * ($normal[$i][$i] + $floor) : 0.0);
                for ($k = 0; $k < $j; $k++) {
                    $sum -= $l[$i][$k] * $l[$j][$k];
                }
                $l[$i][$j] = $i === $j ? sqrt(max($sum, self::LEAST_PIVOT)) : $sum / $l[$j][$j];
            }
        }
        for ($i = 0; $i < $n; $i++) {
            for ($k = 0; $k < $i; $k++) {
                $right[$i] -= $l[$i][$k] * $right[$k];
            }
            $right[$i] /= $l[$i][$i];
        }
        for ($i = $n - 1; $i >= 0; $i--) {
            for ($k = $i + 1; $k < $n; $k++) {
                $right[$i] -= $l[$k][$i] * $right[$k];
            }
            $right[$i] /= $l[$i][$i];
        }

        return $right;
    }
}
