<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Mesh;

/** How near points and lines come to one triangle: nine numbers of a list, from a place on. Lengths in mm. */
final readonly class Triangle
{
    /**
     * Gives the square of a point's distance [Ericson, Real-Time Collision Detection, 5.1.5]. In mm².
     *
     * @param  array<int, float>  $c
     */
    public static function squareToPoint(array $c, int $i, float $x, float $y, float $z): float
    {
        $ax = $c[$i];
        $ay = $c[$i + 1];
        $az = $c[$i + 2];
        $abx = $c[$i + 3] - $ax;
        $aby = $c[$i + 4] - $ay;
        $abz = $c[$i + 5] - $az;
        $acx = $c[$i + 6] - $ax;
        $acy = $c[$i + 7] - $ay;
        $acz = $c[$i + 8] - $az;
        $px = $x - $ax;
        $py = $y - $ay;
        $pz = $z - $az;
        $d1 = $abx * $px + $aby * $py + $abz * $pz;
        $d2 = $acx * $px + $acy * $py + $acz * $pz;
        if ($d1 <= 0.0 && $d2 <= 0.0) {
            return $px * $px + $py * $py + $pz * $pz;
        }
        $bb = $abx * $abx + $aby * $aby + $abz * $abz;
        $bc = $abx * $acx + $aby * $acy + $abz * $acz;
        $cc = $acx * $acx + $acy * $acy + $acz * $acz;
        $d3 = $d1 - $bb;
        $d4 = $d2 - $bc;
        if ($d3 >= 0.0 && $d4 <= $d3) {
            $v = 1.0;
            $w = 0.0;
        } else {
            $d5 = $d1 - $bc;
            $d6 = $d2 - $cc;
            $vc = $d1 * $d4 - $d3 * $d2;
            $vb = $d5 * $d2 - $d1 * $d6;
            $va = $d3 * $d6 - $d5 * $d4;
            if ($vc <= 0.0 && $d1 >= 0.0 && $d3 <= 0.0) {
                $v = $d1 / ($d1 - $d3);
                $w = 0.0;
            } elseif ($d6 >= 0.0 && $d5 <= $d6) {
                $v = 0.0;
                $w = 1.0;
            } elseif ($vb <= 0.0 && $d2 >= 0.0 && $d6 <= 0.0) {
                $v = 0.0;
                $w = $d2 / ($d2 - $d6);
            } elseif ($va <= 0.0 && $d4 - $d3 >= 0.0 && $d5 - $d6 >= 0.0) {
                $w = ($d4 - $d3) / (($d4 - $d3) + ($d5 - $d6));
                $v = 1.0 - $w;
            } else {
                $sum = $va + $vb + $vc;
                $v = $vb / $sum;
                $w = $vc / $sum;
            }
        }
        $dx = $px - $v * $abx - $w * $acx;
        $dy = $py - $v * $aby - $w * $acy;
        $dz = $pz - $v * $abz - $w * $acz;

        return $dx * $dx + $dy * $dy + $dz * $dz;
    }

    /**
     * Gives the square of a line's least distance and the share of the line where it is: 0 if it runs through;
     * otherwise the nearest place is at an end of the line or on an edge of the triangle.
     *
     * @param  array<int, float>  $c
     * @return array{float, float}
     */
    public static function squareToLine(
        array $c,
        int $i,
        float $x,
        float $y,
        float $z,
        float $ux,
        float $uy,
        float $uz,
    ): array {
        $crossed = self::crossedAt($c, $i, $x, $y, $z, $ux, $uy, $uz);
        if ($crossed >= 0.0 && $crossed <= 1.0) {
            return [0.0, $crossed];
        }
        $best = self::squareToPoint($c, $i, $x, $y, $z);
        $share = 0.0;
        $square = self::squareToPoint($c, $i, $x + $ux, $y + $uy, $z + $uz);
        if ($square < $best) {
            $best = $square;
            $share = 1.0;
        }
        $a = $ux * $ux + $uy * $uy + $uz * $uz;
        for ($edge = 0; $edge < 3; $edge++) {
            $from = $i + 3 * $edge;
            $to = $i + 3 * (($edge + 1) % 3);
            $vx = $c[$to] - $c[$from];
            $vy = $c[$to + 1] - $c[$from + 1];
            $vz = $c[$to + 2] - $c[$from + 2];
            $rx = $x - $c[$from];
            $ry = $y - $c[$from + 1];
            $rz = $z - $c[$from + 2];
            $e = $vx * $vx + $vy * $vy + $vz * $vz;
            if ($e < 1e-18 || $a < 1e-18) {
                continue;
            }
            $b = $ux * $vx + $uy * $vy + $uz * $vz;
            $cc = $ux * $rx + $uy * $ry + $uz * $rz;
            $f = $vx * $rx + $vy * $ry + $vz * $rz;
            $denominator = $a * $e - $b * $b;
            $s = $denominator > 1e-12 * $a * $e ? ($b * $f - $cc * $e) / $denominator : 0.0;
            $s = $s < 0.0 ? 0.0 : ($s > 1.0 ? 1.0 : $s);
            $t = ($b * $s + $f) / $e;
            if ($t < 0.0 || $t > 1.0) {
                $t = $t < 0.0 ? 0.0 : 1.0;
                $s = ($b * $t - $cc) / $a;
                $s = $s < 0.0 ? 0.0 : ($s > 1.0 ? 1.0 : $s);
            }
            $dx = $rx + $s * $ux - $t * $vx;
            $dy = $ry + $s * $uy - $t * $vy;
            $dz = $rz + $s * $uz - $t * $vz;
            $square = $dx * $dx + $dy * $dy + $dz * $dz;
            if ($square < $best) {
                $best = $square;
                $share = $s;
            }
        }

        return [$best, $share];
    }

    /**
     * Gives the share of a line at which it runs through the triangle, or −1 if it does not (beyond 1: past its end).
     *
     * [Möller & Trumbore 1997, Fast, minimum storage ray–triangle intersection]
     *
     * @param  array<int, float>  $c
     */
    public static function crossedAt(
        array $c,
        int $i,
        float $x,
        float $y,
        float $z,
        float $ux,
        float $uy,
        float $uz,
    ): float {
        $ax = $c[$i + 3] - $c[$i];
        $ay = $c[$i + 4] - $c[$i + 1];
        $az = $c[$i + 5] - $c[$i + 2];
        $bx = $c[$i + 6] - $c[$i];
        $by = $c[$i + 7] - $c[$i + 1];
        $bz = $c[$i + 8] - $c[$i + 2];
        $px = $uy * $bz - $uz * $by;
        $py = $uz * $bx - $ux * $bz;
        $pz = $ux * $by - $uy * $bx;
        $determinant = $ax * $px + $ay * $py + $az * $pz;
        if (abs($determinant) < 1e-12) {
            return -1.0;
        }
        $tx = $x - $c[$i];
        $ty = $y - $c[$i + 1];
        $tz = $z - $c[$i + 2];
        $v = ($tx * $px + $ty * $py + $tz * $pz) / $determinant;
        if ($v < 0.0 || $v > 1.0) {
            return -1.0;
        }
        $qx = $ty * $az - $tz * $ay;
        $qy = $tz * $ax - $tx * $az;
        $qz = $tx * $ay - $ty * $ax;
        $w = ($ux * $qx + $uy * $qy + $uz * $qz) / $determinant;
        if ($w < 0.0 || $v + $w > 1.0) {
            return -1.0;
        }
        $share = ($bx * $qx + $by * $qy + $bz * $qz) / $determinant;

        return $share < 0.0 ? -1.0 : $share;
    }
}
