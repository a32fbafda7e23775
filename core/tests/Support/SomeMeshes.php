<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

/** Triangles of bodies whose size is known, and the bytes of STL files of them. */
final class SomeMeshes
{
    /**
     * @param  array{float, float, float}  $half  of each edge
     * @return list<float>
     */
    public static function box(array $half): array
    {
        $corners = [];
        for ($axis = 0; $axis < 3; $axis++) {
            foreach ([-1, 1] as $side) {
                $quad = array_map(
                    static function (array $uv) use ($axis, $side, $half): array {
                        $point = [0.0, 0.0, 0.0];
                        $point[$axis] = $side * $half[$axis];
                        $point[($axis + 1) % 3] = $uv[0] * $half[($axis + 1) % 3];
                        $point[($axis + 2) % 3] = $uv[1] * $half[($axis + 2) % 3];

                        return $point;
                    },
                    $side > 0 ? [[-1, -1], [1, -1], [1, 1], [-1, 1]] : [[-1, -1], [-1, 1], [1, 1], [1, -1]],
                );
                array_push($corners, ...$quad[0], ...$quad[1], ...$quad[2], ...$quad[0], ...$quad[2], ...$quad[3]);
            }
        }

        return $corners;
    }

    /** @return list<float> about so many triangles */
    public static function ball(float $radius, int $triangles): array
    {
        $n = (int) sqrt($triangles / 2);
        $point = static function (int $i, int $j) use ($n, $radius): array {
            if ($i === 0 || $i === $n) {
                return [0.0, 0.0, $i === 0 ? $radius : -$radius];
            }
            [$t, $f] = [(M_PI * $i) / $n, (2 * M_PI * ($j % $n)) / $n];

            return [$radius * sin($t) * cos($f), $radius * sin($t) * sin($f), $radius * cos($t)];
        };
        $corners = [];
        for ($i = 0; $i < $n; $i++) {
            for ($j = 0; $j < $n; $j++) {
                if ($i < $n - 1) {
                    array_push($corners, ...$point($i, $j), ...$point($i + 1, $j), ...$point($i + 1, $j + 1));
                }
                if ($i > 0) {
                    array_push($corners, ...$point($i, $j), ...$point($i + 1, $j + 1), ...$point($i, $j + 1));
                }
            }
        }

        return $corners;
    }

    /** @param  list<float>  $corners */
    public static function binaryStl(array $corners): string
    {
        $bytes = str_pad('solid by its header only', 80, ' ').pack('V', count($corners) / 9);
        foreach (array_chunk($corners, 9) as $nine) {
            $bytes .= pack('g12v', 0, 0, 0, ...[...$nine, 0]);
        }

        return $bytes;
    }

    /** @param  list<float>  $corners */
    public static function textStl(array $corners): string
    {
        $text = "solid part\n";
        foreach (array_chunk($corners, 9) as $nine) {
            $text .= "facet normal 0 0 0\n outer loop\n";
            foreach (array_chunk($nine, 3) as [$x, $y, $z]) {
                $text .= sprintf("  vertex %.6e %.6e %.6e\n", $x, $y, $z);
            }
            $text .= " endloop\nendfacet\n";
        }

        return $text."endsolid part\n";
    }
}
