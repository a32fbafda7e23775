<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/** Principal values and directions of a symmetric matrix, by Jacobi's rotations. */
final readonly class Symmetric
{
    private const SWEEPS = 60;

    /**
     * @param  list<list<float>>  $matrix
     * @return array{list<float>, list<list<float>>} values, the greatest first, and their directions as rows
     */
    public static function principal(array $matrix): array
    {
        $count = count($matrix);
        $turned = [];
        for ($i = 0; $i < $count; $i++) {
            $turned[] = array_map(static fn (int $j): float => $i === $j ? 1.0 : 0.0, range(0, $count - 1));
        }
        for ($sweep = 0; $sweep < self::SWEEPS; $sweep++) {
            [$off, $all] = [0.0, 0.0];
            for ($i = 0; $i < $count; $i++) {
                for ($j = 0; $j < $count; $j++) {
                    $all += $matrix[$i][$j] ** 2;
                    $off += $i === $j ? 0.0 : $matrix[$i][$j] ** 2;
                }
            }
            if ($off <= 1e-26 * $all) {
                break;
            }
            for ($p = 0; $p < $count - 1; $p++) {
                for ($q = $p + 1; $q < $count; $q++) {
                    self::rotate($matrix, $turned, $p, $q, $count);
                }
            }
        }
        $values = [];
        foreach ($matrix as $i => $row) {
            $values[$i] = $row[$i];
        }
        arsort($values);

        return [
            array_values($values),
            array_map(static fn (int $i): array => array_values($turned[$i]), array_keys($values)),
        ];
    }

    /**
     * How points lie spread about a place, as the sum of the squares of what they are off it.
     *
     * @param  list<array<int, float>>  $off  from that place
     * @param  list<float>  $weights  one for each; none where all count alike
     * @return array{list<float>, list<list<float>>} values, the greatest first, and their directions as rows
     */
    public static function spread(array $off, array $weights = []): array
    {
        $spread = [[0.0, 0.0, 0.0], [0.0, 0.0, 0.0], [0.0, 0.0, 0.0]];
        foreach ($off as $k => $point) {
            $weight = $weights[$k] ?? 1.0;
            for ($i = 0; $i < 3; $i++) {
                for ($j = 0; $j < 3; $j++) {
                    $spread[$i][$j] += $weight * $point[$i] * $point[$j];
                }
            }
        }

        return self::principal(array_map(array_values(...), $spread));
    }

    /**
     * The direction in which points are spread least: of a face the way out of it.
     *
     * @param  list<array{float, float, float}>  $points
     * @param  array{float, float, float}  $middle
     * @return array{float, float, float}
     */
    public static function flattest(array $points, array $middle): array
    {
        $off = array_map(static fn (array $point): array => Xyz::minus($point, $middle), $points);
        $way = self::spread($off)[1][2];

        return [$way[0], $way[1], $way[2]];
    }

    /** @param  list<list<float>>  $matrix */
    public static function greatest(array $matrix): float
    {
        return $matrix === [] ? 0.0 : max(0.0, self::principal($matrix)[0][0]);
    }

    /**
     * @param  array<int, array<int, float>>  $matrix
     * @param  array<int, array<int, float>>  $turned
     */
    private static function rotate(array &$matrix, array &$turned, int $p, int $q, int $count): void
    {
        $apq = $matrix[$p][$q];
        if (abs($apq) < 1e-300) {
            return;
        }
        $theta = ($matrix[$q][$q] - $matrix[$p][$p]) / (2 * $apq);
        $t = ($theta >= 0 ? 1 : -1) / (abs($theta) + sqrt($theta ** 2 + 1));
        $c = 1 / sqrt($t ** 2 + 1);
        $s = $t * $c;
        for ($k = 0; $k < $count; $k++) {
            [$kp, $kq] = [$matrix[$k][$p], $matrix[$k][$q]];
            $matrix[$k][$p] = $c * $kp - $s * $kq;
            $matrix[$k][$q] = $s * $kp + $c * $kq;
        }
        for ($k = 0; $k < $count; $k++) {
            [$pk, $qk] = [$matrix[$p][$k], $matrix[$q][$k]];
            $matrix[$p][$k] = $c * $pk - $s * $qk;
            $matrix[$q][$k] = $s * $pk + $c * $qk;
            [$tp, $tq] = [$turned[$p][$k], $turned[$q][$k]];
            $turned[$p][$k] = $c * $tp - $s * $tq;
            $turned[$q][$k] = $s * $tp + $c * $tq;
        }
    }
}
