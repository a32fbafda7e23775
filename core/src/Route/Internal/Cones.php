<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Internal;

use UpsweptBead\Core\Geometry\Vector;

/** Directions that make given angles with two given directions: where two cones with one apex meet. */
final class Cones
{
    /**
     * Solves u·a = cosα, u·b = cosβ, |u| = 1 with u = x·a + y·b ± z·(a × b).
     *
     * @param  Vector  $a  unit
     * @param  Vector  $b  unit
     * @return list<Vector> none, one (the cones touch) or two unit vectors; none if a and b are parallel
     */
    public static function meet(Vector $a, float $alphaDeg, Vector $b, float $betaDeg): array
    {
        $c = $a->dot($b);
        $sin2 = 1 - $c * $c;
        if ($sin2 < 1e-12) {
            return [];
        }
        [$cosA, $cosB] = [cos(deg2rad($alphaDeg)), cos(deg2rad($betaDeg))];
        [$x, $y] = [($cosA - $c * $cosB) / $sin2, ($cosB - $c * $cosA) / $sin2];
        $z2 = (1 - $x * $x - $y * $y - 2 * $x * $y * $c) / $sin2;
        if ($z2 < -1e-12) {
            return [];
        }
        $inPlane = $a->times($x)->plus($b->times($y));
        $across = $a->cross($b)->times(sqrt(max(0.0, $z2)));

        return $z2 < 1e-12 ? [$inPlane] : [$inPlane->plus($across), $inPlane->minus($across)];
    }
}
