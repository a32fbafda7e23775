<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * Tubes as closed skins of triangles, binary STL: outside, inside and both ends. Millimetres, rearward, right, up.
 */
final readonly class StlWriter
{
    /** Facets lie this near to the tube (mm): the sagitta of one that turns by φ is r·(1 − cos(φ/2)). */
    private const NEAR_MM = 0.05;

    /** @param  list<TubeSkin>  $skins */
    public static function write(array $skins): string
    {
        $triangles = '';
        $count = 0;
        foreach ($skins as $skin) {
            $widest = array_reduce(
                $skin->parts,
                static fn (float $most, SkinPart $part): float => max($most, $part->clrMm),
                0.0,
            );
            $round = (int) ceil(360.0 / self::stepDeg($skin->outerMm));
            $rings = $skin->rounds(self::stepDeg($widest + $skin->outerMm));
            $outer = self::points($rings, $skin->outerMm, $round);
            $inner = self::points($rings, $skin->innerMm, $round);
            $last = count($rings) - 1;
            for ($j = 0; $j < $round; $j++) {
                $k = ($j + 1) % $round;
                for ($i = 0; $i < $last; $i++) {
                    $triangles .= self::quad($outer[$i][$j], $outer[$i][$k], $outer[$i + 1][$k], $outer[$i + 1][$j]);
                    $triangles .= self::quad($inner[$i][$k], $inner[$i][$j], $inner[$i + 1][$j], $inner[$i + 1][$k]);
                }
                $triangles .= self::quad($outer[0][$k], $outer[0][$j], $inner[0][$j], $inner[0][$k]);
                $triangles .= self::quad($outer[$last][$j], $outer[$last][$k], $inner[$last][$k], $inner[$last][$j]);
                $count += 4 * $last + 4;
            }
        }

        return str_pad('Runs of tube, mm', 80).pack('V', $count).$triangles;
    }

    /**
     * @param  list<SkinRing>  $rings
     * @return list<list<Vector>> round each ring
     */
    private static function points(array $rings, float $radiusMm, int $round): array
    {
        return array_map(static fn (SkinRing $ring): array => array_map(
            static fn (int $j): Vector => TubeSkin::on($ring, $radiusMm, 360.0 * $j / $round),
            range(0, $round - 1),
        ), $rings);
    }

    /** The most that a facet may turn at a radius. */
    private static function stepDeg(float $radiusMm): float
    {
        return 2.0 * rad2deg(acos(1.0 - self::NEAR_MM / $radiusMm));
    }

    /** Two triangles that go round a, b, c, d as seen from outside. */
    private static function quad(Vector $a, Vector $b, Vector $c, Vector $d): string
    {
        return self::triangle($a, $b, $c).self::triangle($a, $c, $d);
    }

    private static function triangle(Vector $a, Vector $b, Vector $c): string
    {
        $normal = $b->minus($a)->cross($c->minus($a))->unit();

        return pack(
            'g12v',
            $normal->x, $normal->y, $normal->z,
            $a->x, $a->y, $a->z, $b->x, $b->y, $b->z, $c->x, $c->y, $c->z,
            0,
        );
    }
}
