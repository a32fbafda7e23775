<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Reach\Obstacle;

use UpsweptBead\Core\Geometry\Clearance\LinePair;
use UpsweptBead\Core\Geometry\Solid\Capsule;
use UpsweptBead\Core\Geometry\Solid\Cylinder;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Reach\Barrel;

/** A straight length of tube or bar with round ends. */
final readonly class Bar implements Obstacle
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
