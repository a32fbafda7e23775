<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use Random\Randomizer;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Mesh\MeshBuilder;
use UpsweptBead\Core\Base\Geometry\Mesh\TriangleMesh;
use UpsweptBead\Core\Base\Geometry\Vector;

/** Scans of a port: a flat face round a bore that goes down from it, as rough as is asked. */
final class SomeScan
{
    public const FACE_MM = 42.0;

    public const DEEP_MM = 24.0;

    private const STEPS = 72;

    /** @return list<float> corners; the face looks along the frame's way, the bore goes the other */
    public static function port(Frame $at, float $boreMm, float $roughMm, Randomizer $dice): array
    {
        $rings = [];
        for ($depth = self::DEEP_MM; $depth > 0.0; $depth -= 2.0) {
            $rings[] = [$boreMm / 2, -$depth];
        }
        for ($radius = $boreMm / 2; $radius <= self::FACE_MM; $radius += 2.0) {
            $rings[] = [$radius, 0.0];
        }
        $places = [];
        foreach ($rings as [$radius, $height]) {
            $ring = [];
            for ($i = 0; $i < self::STEPS; $i++) {
                $side = $at->turned(360.0 * $i / self::STEPS)->reference;
                $ring[] = $at->at->plus($side->times($radius))->plus($at->forward->times($height))
                    ->plus(self::off($dice, $roughMm));
            }
            $places[] = $ring;
        }
        $corners = [];
        for ($r = 0; $r + 1 < count($places); $r++) {
            for ($i = 0; $i < self::STEPS; $i++) {
                $j = ($i + 1) % self::STEPS;
                [$a, $b, $c, $d] = [$places[$r][$i], $places[$r + 1][$i], $places[$r + 1][$j], $places[$r][$j]];
                foreach ([$a, $b, $c, $a, $c, $d] as $one) {
                    array_push($corners, $one->x, $one->y, $one->z);
                }
            }
        }

        return $corners;
    }

    public static function mesh(Frame $at, float $boreMm, float $roughMm, Randomizer $dice): TriangleMesh
    {
        return MeshBuilder::build(self::port($at, $boreMm, $roughMm, $dice));
    }

    /** Normal by Box and Muller, in every direction. */
    private static function off(Randomizer $dice, float $sigmaMm): Vector
    {
        $one = static fn (): float => $sigmaMm
            * sqrt(-2 * log(Some::between($dice, 1e-6, 1.0)))
            * cos(2 * M_PI * Some::between($dice, 0.0, 1.0));

        return new Vector($one(), $one(), $one());
    }
}
