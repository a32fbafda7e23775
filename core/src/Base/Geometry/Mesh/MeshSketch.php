<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Mesh;

/** A mesh made coarse for the eye: corners within one cell of a grid become one. Never measured against. */
final readonly class MeshSketch
{
    private const FINEST = 160;

    /**
     * @return list<float> x, y, z of the three corners of every triangle left
     */
    public static function of(TriangleMesh $mesh, int $most = 12_000): array
    {
        $corners = $mesh->corners();
        [$x, $y, $z, $x2, $y2, $z2] = $mesh->box();
        $extent = max($x2 - $x, $y2 - $y, $z2 - $z, 1e-3);
        for ($cells = self::FINEST; count($corners) > 9 * $most; $cells = (int) ($cells * 0.75)) {
            $corners = self::clustered($mesh->corners(), $extent / $cells);
        }

        return $corners;
    }

    /**
     * @param  list<float>  $corners
     * @return list<float>
     */
    private static function clustered(array $corners, float $cell): array
    {
        $sums = $keys = [];
        for ($i = 0, $end = count($corners); $i < $end; $i += 3) {
            $key =
                (((int) floor($corners[$i] / $cell) & 0xFFFFF) << 40) |
                (((int) floor($corners[$i + 1] / $cell) & 0xFFFFF) << 20) |
                ((int) floor($corners[$i + 2] / $cell) & 0xFFFFF);
            $keys[] = $key;
            $sum = $sums[$key] ?? [0.0, 0.0, 0.0, 0];
            $sums[$key] = [$sum[0] + $corners[$i], $sum[1] + $corners[$i + 1], $sum[2] + $corners[$i + 2], $sum[3] + 1];
        }
        $left = [];
        for ($i = 0, $end = count($keys); $i < $end; $i += 3) {
            [$a, $b, $c] = [$keys[$i], $keys[$i + 1], $keys[$i + 2]];
            if ($a === $b || $b === $c || $c === $a) {
                continue;
            }
            foreach ([$a, $b, $c] as $key) {
                [$sx, $sy, $sz, $n] = $sums[$key];
                array_push($left, $sx / $n, $sy / $n, $sz / $n);
            }
        }

        return $left;
    }
}
