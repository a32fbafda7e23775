<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Reach\Obstacle;

use UpsweptBead\Core\Geometry\Solid\Box;

/** A box turned any way: a flange plate, a bracket, a bar of the fixture. */
final readonly class Block implements Obstacle
{
    /** Turns of the search for the nearest two points; it ends long before unless an edge nearly meets a rim. */
    private const TURNS = 80;

    /** A distance known this well (mm) is known. */
    private const KNOWN = 0.005;

    /** Less than this (mm) is touching. */
    private const TOUCHING = 1e-9;

    private float $hx;

    private float $hy;

    private float $hz;

    public function __construct(private Box $box)
    {
        [$this->hx, $this->hy, $this->hz] = $box->halfMm;
    }

    public function id(): string
    {
        return $this->box->id;
    }

    public function distance(float $x, float $y, float $z): float
    {
        return $this->box->distance($x, $y, $z);
    }

    public function deepest(
        float $px,
        float $py,
        float $pz,
        float $ax,
        float $ay,
        float $az,
        float $from,
        float $to,
        float $radius,
    ): array {
        $centre = $this->box->centre;
        [$ox, $oy, $oz] = $this->own($px - $centre->x, $py - $centre->y, $pz - $centre->z);
        [$ux, $uy, $uz] = $this->own($ax, $ay, $az);
        [$hx, $hy, $hz] = [$this->hx, $this->hy, $this->hz];
        $best = INF;
        $at = $from;
        foreach ([$from, ($from + $to) / 2, $to] as $t) {
            $beyond = self::beyond(abs($ox + $t * $ux) - $hx, abs($oy + $t * $uy) - $hy, abs($oz + $t * $uz) - $hz);
            if ($beyond < $best) {
                [$best, $at] = [$beyond, $t];
            }
        }
        [$x, $y, $z] = [$ox + $at * $ux, $oy + $at * $uy, $oz + $at * $uz];
        if ($best <= 0.0) {
            return [$px + $at * $ax, $py + $at * $ay, $pz + $at * $az];
        }
        // Outside: straight against the way out of the box, as far as the cylinder goes.
        $nx = $x - ($x < -$hx ? -$hx : ($x > $hx ? $hx : $x));
        $ny = $y - ($y < -$hy ? -$hy : ($y > $hy ? $hy : $y));
        $nz = $z - ($z < -$hz ? -$hz : ($z > $hz ? $hz : $z));
        [$a, $b, $c] = $this->box->axes;
        $gx = $nx * $a->x + $ny * $b->x + $nz * $c->x;
        $gy = $nx * $a->y + $ny * $b->y + $nz * $c->y;
        $gz = $nx * $a->z + $ny * $b->z + $nz * $c->z;
        $along = $gx * $ax + $gy * $ay + $gz * $az;
        [$gx, $gy, $gz] = [$gx - $along * $ax, $gy - $along * $ay, $gz - $along * $az];
        $across = sqrt($gx * $gx + $gy * $gy + $gz * $gz);
        $out = $across > self::TOUCHING ? $radius / $across : 0.0;

        return [
            $px + $at * $ax - $out * $gx,
            $py + $at * $ay - $out * $gy,
            $pz + $at * $az - $out * $gz,
        ];
    }

    public function clearsFlat(
        float $px,
        float $py,
        float $pz,
        float $ax,
        float $ay,
        float $az,
        float $from,
        float $to,
        float $radius,
        float $gap,
    ): bool {
        $centre = $this->box->centre;
        [$px, $py, $pz] = $this->own($px - $centre->x, $py - $centre->y, $pz - $centre->z);
        [$ax, $ay, $az] = $this->own($ax, $ay, $az);
        $mid = ($from + $to) / 2;
        $half = $mid - $from;
        if (
            abs($px + $mid * $ax) - abs($ax) * $half - $radius * sqrt(max(0.0, 1 - $ax * $ax)) - $this->hx >= $gap ||
            abs($py + $mid * $ay) - abs($ay) * $half - $radius * sqrt(max(0.0, 1 - $ay * $ay)) - $this->hy >= $gap ||
            abs($pz + $mid * $az) - abs($az) * $half - $radius * sqrt(max(0.0, 1 - $az * $az)) - $this->hz >= $gap
        ) {
            return true;
        }

        return $this->keepsFrom([$px, $py, $pz], [$ax, $ay, $az], $from, $to, $radius, $gap);
    }

    public function clearsLine(
        float $px,
        float $py,
        float $pz,
        float $ax,
        float $ay,
        float $az,
        float $from,
        float $to,
        float $distance,
    ): bool {
        return LeastDistance::keeps(
            fn (float $t): float => $this->box->distance($px + $t * $ax, $py + $t * $ay, $pz + $t * $az),
            $from,
            $to,
            $distance,
        );
    }

    /** The distance from a box, negative inside, by how far a place is beyond each pair of its faces. */
    private static function beyond(float $u, float $v, float $w): float
    {
        if ($u <= 0.0 && $v <= 0.0 && $w <= 0.0) {
            return $u > $v ? ($u > $w ? $u : $w) : ($v > $w ? $v : $w);
        }
        $u = $u > 0.0 ? $u : 0.0;
        $v = $v > 0.0 ? $v : 0.0;
        $w = $w > 0.0 ? $w : 0.0;

        return sqrt($u * $u + $v * $v + $w * $w);
    }

    /**
     * Goes from a point of the cylinder to the nearest of the box and back. The way between them is never shorter than
     * the distance, and what parts the two along it never wider: once both are on the same side of the gap it is known.
     *
     * @param  array{float, float, float}  $p
     * @param  array{float, float, float}  $a
     */
    private function keepsFrom(array $p, array $a, float $from, float $to, float $radius, float $gap): bool
    {
        $mid = ($from + $to) / 2;
        $x = [$p[0] + $mid * $a[0], $p[1] + $mid * $a[1], $p[2] + $mid * $a[2]];
        $way = INF;
        for ($turn = 0; $turn < self::TURNS; $turn++) {
            $y = $this->nearest($x);
            $n = [$x[0] - $y[0], $x[1] - $y[1], $x[2] - $y[2]];
            $way = sqrt($n[0] * $n[0] + $n[1] * $n[1] + $n[2] * $n[2]);
            if ($way < $gap || $way < self::TOUCHING) {
                return false;
            }
            $n = [$n[0] / $way, $n[1] / $way, $n[2] / $way];
            $low = self::lowest($p, $a, $from, $to, $radius, $n);
            $parted = $n[0] * ($low[0] - $y[0]) + $n[1] * ($low[1] - $y[1]) + $n[2] * ($low[2] - $y[2]);
            if ($parted >= $gap) {
                return true;
            }
            if ($way - $parted < self::KNOWN) {
                break;
            }
            $back = self::inCylinder($p, $a, $from, $to, $radius, $y);
            $x = $this->far($low) < $this->far($back) ? $low : $back;
        }

        return $way >= $gap;
    }

    /**
     * The cylinder's farthest point against a direction.
     *
     * @param  array{float, float, float}  $p
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $n  of length 1
     * @return array{float, float, float}
     */
    private static function lowest(array $p, array $a, float $from, float $to, float $radius, array $n): array
    {
        $along = $n[0] * $a[0] + $n[1] * $a[1] + $n[2] * $a[2];
        $t = $along > 0.0 ? $from : $to;
        $across = sqrt(max(0.0, 1 - $along * $along));
        $out = $across > self::TOUCHING ? $radius / $across : 0.0;

        return [
            $p[0] + $t * $a[0] - $out * ($n[0] - $along * $a[0]),
            $p[1] + $t * $a[1] - $out * ($n[1] - $along * $a[1]),
            $p[2] + $t * $a[2] - $out * ($n[2] - $along * $a[2]),
        ];
    }

    /**
     * The cylinder's point nearest to a place.
     *
     * @param  array{float, float, float}  $p
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $y
     * @return array{float, float, float}
     */
    private static function inCylinder(array $p, array $a, float $from, float $to, float $radius, array $y): array
    {
        $w = [$y[0] - $p[0], $y[1] - $p[1], $y[2] - $p[2]];
        $h = $w[0] * $a[0] + $w[1] * $a[1] + $w[2] * $a[2];
        $w = [$w[0] - $h * $a[0], $w[1] - $h * $a[1], $w[2] - $h * $a[2]];
        $out = sqrt($w[0] * $w[0] + $w[1] * $w[1] + $w[2] * $w[2]);
        $share = $out > $radius ? $radius / $out : 1.0;
        $t = $h < $from ? $from : ($h > $to ? $to : $h);

        return [
            $p[0] + $t * $a[0] + $share * $w[0],
            $p[1] + $t * $a[1] + $share * $w[1],
            $p[2] + $t * $a[2] + $share * $w[2],
        ];
    }

    /**
     * The box's point nearest to a place.
     *
     * @param  array{float, float, float}  $x
     * @return array{float, float, float}
     */
    private function nearest(array $x): array
    {
        return [
            max(-$this->hx, min($this->hx, $x[0])),
            max(-$this->hy, min($this->hy, $x[1])),
            max(-$this->hz, min($this->hz, $x[2])),
        ];
    }

    /**
     * How far a place is from the box, mm².
     *
     * @param  array{float, float, float}  $x
     */
    private function far(array $x): float
    {
        $y = $this->nearest($x);

        return ($x[0] - $y[0]) ** 2 + ($x[1] - $y[1]) ** 2 + ($x[2] - $y[2]) ** 2;
    }

    /** @return array{float, float, float} a direction in the box's own axes */
    private function own(float $x, float $y, float $z): array
    {
        [$a, $b, $c] = $this->box->axes;

        return [
            $x * $a->x + $y * $a->y + $z * $a->z,
            $x * $b->x + $y * $b->y + $z * $b->z,
            $x * $c->x + $y * $c->y + $z * $c->z,
        ];
    }
}
