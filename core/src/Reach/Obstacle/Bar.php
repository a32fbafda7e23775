<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Reach\Obstacle;

use UpsweptBead\Core\Geometry\Clearance\LinePair;
use UpsweptBead\Core\Geometry\Vector;

/** A straight length of tube or bar with round ends. */
final readonly class Bar implements Obstacle
{
    private float $x;

    private float $y;

    private float $z;

    private float $vx;

    private float $vy;

    private float $vz;

    /** Of its length, mm². */
    private float $square;

    public function __construct(private string $id, Vector $from, Vector $to, private float $radiusMm)
    {
        [$this->x, $this->y, $this->z] = [$from->x, $from->y, $from->z];
        [$this->vx, $this->vy, $this->vz] = [$to->x - $from->x, $to->y - $from->y, $to->z - $from->z];
        $this->square = $this->vx * $this->vx + $this->vy * $this->vy + $this->vz * $this->vz;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function distance(float $x, float $y, float $z): float
    {
        [$wx, $wy, $wz] = [$x - $this->x, $y - $this->y, $z - $this->z];
        $t = $wx * $this->vx + $wy * $this->vy + $wz * $this->vz;
        $t = $t <= 0.0 ? 0.0 : ($t >= $this->square ? 1.0 : $t / $this->square);
        [$wx, $wy, $wz] = [$wx - $t * $this->vx, $wy - $t * $this->vy, $wz - $t * $this->vz];

        return sqrt($wx * $wx + $wy * $wy + $wz * $wz) - $this->radiusMm;
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
        $long = $to - $from;
        [$wx, $wy, $wz] = [$px - $this->x, $py - $this->y, $pz - $this->z];
        $t = LinePair::nearest(
            $long * $ax,
            $long * $ay,
            $long * $az,
            $this->vx,
            $this->vy,
            $this->vz,
            $wx + $from * $ax,
            $wy + $from * $ay,
            $wz + $from * $az,
        )[1];
        // The cylinder's own point that is nearest to that place of the bar.
        [$wx, $wy, $wz] = [$t * $this->vx - $wx, $t * $this->vy - $wy, $t * $this->vz - $wz];
        $h = $wx * $ax + $wy * $ay + $wz * $az;
        [$wx, $wy, $wz] = [$wx - $h * $ax, $wy - $h * $ay, $wz - $h * $az];
        $out = sqrt($wx * $wx + $wy * $wy + $wz * $wz);
        $share = $out > $radius ? $radius / $out : 1.0;
        $h = $h < $from ? $from : ($h > $to ? $to : $h);

        return [$px + $h * $ax + $share * $wx, $py + $h * $ay + $share * $wy, $pz + $h * $az + $share * $wz];
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
        $apart = $distance + $this->radiusMm;

        return $this->apart($px, $py, $pz, $ax, $ay, $az, $from, $to) >= $apart * $apart;
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
        $apart = $radius + $this->radiusMm + $gap;
        if ($this->apart($px, $py, $pz, $ax, $ay, $az, $from, $to) >= $apart * $apart) {
            return true;
        }
        [$x, $y, $z] = $this->deepest($px, $py, $pz, $ax, $ay, $az, $from, $to, $radius);
        if ($this->distance($x, $y, $z) < $gap) {
            return false;
        }

        return $this->keepsFrom($px, $py, $pz, $ax, $ay, $az, $from, $to, $radius, $gap + $this->radiusMm);
    }

    /** Whether the bar's own line keeps a distance from a flat-ended cylinder. */
    private function keepsFrom(
        float $px,
        float $py,
        float $pz,
        float $ax,
        float $ay,
        float $az,
        float $from,
        float $to,
        float $radius,
        float $apart,
    ): bool {
        [$wx, $wy, $wz] = [$this->x - $px, $this->y - $py, $this->z - $pz];
        $h0 = $wx * $ax + $wy * $ay + $wz * $az;
        $h1 = $this->vx * $ax + $this->vy * $ay + $this->vz * $az;
        $w0 = $wx * $wx + $wy * $wy + $wz * $wz;
        $w1 = 2 * ($wx * $this->vx + $wy * $this->vy + $wz * $this->vz);
        $w2 = $this->vx * $this->vx + $this->vy * $this->vy + $this->vz * $this->vz;
        $square = static function (float $u) use ($h0, $h1, $w0, $w1, $w2, $from, $to, $radius): float {
            $h = $h0 + $u * $h1;
            $axial = $h < $from ? $from - $h : ($h > $to ? $h - $to : 0.0);
            $radial = sqrt(max(0.0, $w0 + $u * ($w1 + $u * $w2) - $h * $h)) - $radius;

            return $axial * $axial + ($radial > 0.0 ? $radial * $radial : 0.0);
        };

        return LeastDistance::keeps($square, 0.0, 1.0, $apart * $apart);
    }

    /** Of the distance between two lines, mm². */
    private function apart(
        float $px,
        float $py,
        float $pz,
        float $ax,
        float $ay,
        float $az,
        float $from,
        float $to,
    ): float {
        $long = $to - $from;

        return LinePair::nearest(
            $long * $ax,
            $long * $ay,
            $long * $az,
            $this->vx,
            $this->vy,
            $this->vz,
            $px + $from * $ax - $this->x,
            $py + $from * $ay - $this->y,
            $pz + $from * $az - $this->z,
        )[2];
    }
}
