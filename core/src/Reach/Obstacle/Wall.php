<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Reach\Obstacle;

use UpsweptBead\Core\Geometry\Vector;

/** Everything behind a plane: a head, a bench, a firewall. */
final readonly class Wall implements Obstacle
{
    /** The sine to the normal under which a cylinder stands upright and its end lies flat. */
    private const UPRIGHT = 1e-9;

    private float $nx;

    private float $ny;

    private float $nz;

    private float $level;

    /** @param  Vector  $normal  out of the solid, of length 1 */
    public function __construct(private string $id, Vector $point, Vector $normal)
    {
        [$this->nx, $this->ny, $this->nz] = [$normal->x, $normal->y, $normal->z];
        $this->level = $point->dot($normal);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function distance(float $x, float $y, float $z): float
    {
        return $x * $this->nx + $y * $this->ny + $z * $this->nz - $this->level;
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
        $rise = $ax * $this->nx + $ay * $this->ny + $az * $this->nz;
        $t = $rise > 0.0 ? $from : $to;
        $across = sqrt(max(0.0, 1 - $rise * $rise));
        $out = $across > self::UPRIGHT ? $radius / $across : 0.0;

        return [
            $px + $t * $ax - $out * ($this->nx - $rise * $ax),
            $py + $t * $ay - $out * ($this->ny - $rise * $ay),
            $pz + $t * $az - $out * ($this->nz - $rise * $az),
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
        $rise = $ax * $this->nx + $ay * $this->ny + $az * $this->nz;
        $rim = $radius * sqrt(max(0.0, 1 - $rise * $rise));

        return $this->distance($px, $py, $pz) + min($rise * $from, $rise * $to) - $rim >= $gap;
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
        $rise = $ax * $this->nx + $ay * $this->ny + $az * $this->nz;

        return $this->distance($px, $py, $pz) + min($rise * $from, $rise * $to) >= $distance;
    }
}
