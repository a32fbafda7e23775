<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Obstacle;

use UpsweptBead\Core\Base\Geometry\Clearance\LinePair;
use UpsweptBead\Core\Base\Geometry\Solid\Capsule;
use UpsweptBead\Core\Base\Geometry\Solid\Cylinder;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Reach\Barrel;

/** A straight length of tube or bar with round ends. */
final readonly class RoundBar implements Obstacle
{
    private Vector $along;

    public function __construct(private Capsule $solid)
    {
        $this->along = $solid->to->minus($solid->from);
    }

    public function solid(): Capsule
    {
        return $this->solid;
    }

    public function deepest(Barrel $barrel): array
    {
        return $this->nearestOf($barrel)[0];
    }

    public function clears(Barrel $barrel, float $gapMm): bool
    {
        [$point, $square] = $this->nearestOf($barrel);
        $apartMm = $this->solid->radiusMm + $gapMm;
        if ($square >= ($apartMm + $barrel->radius) ** 2) {
            return true;
        }
        if ($this->solid->distance(...$point) < $gapMm) {
            return false;
        }
        if ($this->isParted($barrel, $point, $gapMm)) {
            return true;
        }
        [$from, $along] = [$this->solid->from, $this->along];
        $flat = new Cylinder(
            '',
            new Vector(...$barrel->at($barrel->from)),
            new Vector(...$barrel->at($barrel->to)),
            $barrel->radius,
        );

        return $flat->along($from->x, $from->y, $from->z, $along->x, $along->y, $along->z, $apartMm)[0] >= $apartMm;
    }

    /**
     * Whether a plane across the way from the bar's middle line to a point of the barrel parts the two: quick, and
     * right where it says so.
     *
     * @param  array{float, float, float}  $point
     */
    private function isParted(Barrel $barrel, array $point, float $gapMm): bool
    {
        [$from, $along] = [$this->solid->from, $this->along];
        [$x, $y, $z] = [$point[0] - $from->x, $point[1] - $from->y, $point[2] - $from->z];
        $square = $along->x * $along->x + $along->y * $along->y + $along->z * $along->z;
        $t = $square > 0.0 ? ($x * $along->x + $y * $along->y + $z * $along->z) / $square : 0.0;
        $t = $t < 0.0 ? 0.0 : ($t > 1.0 ? 1.0 : $t);
        [$nx, $ny, $nz] = [$x - $t * $along->x, $y - $t * $along->y, $z - $t * $along->z];
        $way = sqrt($nx * $nx + $ny * $ny + $nz * $nz);
        if ($way <= $this->solid->radiusMm) {
            return false;
        }
        [$nx, $ny, $nz] = [$nx / $way, $ny / $way, $nz / $way];
        $low = $barrel->lowest($nx, $ny, $nz);
        $reach = $nx * $along->x + $ny * $along->y + $nz * $along->z;
        $parted = $nx * ($low[0] - $from->x) + $ny * ($low[1] - $from->y) + $nz * ($low[2] - $from->z);

        return $parted - ($reach > 0.0 ? $reach : 0.0) >= $this->solid->radiusMm + $gapMm;
    }

    /**
     * @return array{array{float, float, float}, float} the barrel's point nearest to the bar's place that is nearest to
     *                                                  the barrel's middle line, and the square between the two lines
     */
    private function nearestOf(Barrel $barrel): array
    {
        [$start, $along, $long] = [$this->solid->from, $this->along, $barrel->to - $barrel->from];
        [$x, $y, $z] = $barrel->at($barrel->from);
        [, $t, $square] = LinePair::nearest(
            $long * $barrel->ax,
            $long * $barrel->ay,
            $long * $barrel->az,
            $along->x,
            $along->y,
            $along->z,
            $x - $start->x,
            $y - $start->y,
            $z - $start->z,
        );

        return [
            $barrel->nearestTo($start->x + $t * $along->x, $start->y + $t * $along->y, $start->z + $t * $along->z),
            $square,
        ];
    }
}
