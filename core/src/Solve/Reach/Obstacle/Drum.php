<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Obstacle;

use UpsweptBead\Core\Base\Geometry\Solid\Cylinder;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Reach\Barrel;

/** A round thing with flat ends: the ring of a V-band, a bung, the mouth of a socket, a shaft. */
final readonly class Drum implements Obstacle
{
    /** Less than this (mm) is inside. */
    private const INSIDE = 1e-9;

    private Barrel $skin;

    public function __construct(private Cylinder $solid)
    {
        [$from, $axis] = [$solid->from, $solid->axis];
        $this->skin = new Barrel(
            $from->x, $from->y, $from->z, $axis->x, $axis->y, $axis->z, 0.0, 2 * $solid->halfMm, $solid->radiusMm,
        );
    }

    public function solid(): Cylinder
    {
        return $this->solid;
    }

    public function deepest(Barrel $barrel): array
    {
        [$best, $t] = Parting::nearest($this->solid, $barrel);
        $place = $barrel->at($t);
        if ($best < self::INSIDE) {
            return $place;
        }
        $near = $this->skin->nearestTo(...$place);
        $out = (new Vector($place[0] - $near[0], $place[1] - $near[1], $place[2] - $near[2]))->times(1 / $best);

        return $barrel->edge($t, $out->x, $out->y, $out->z);
    }

    public function clears(Barrel $barrel, float $gapMm): bool
    {
        $middle = $barrel->at(($barrel->from + $barrel->to) / 2);
        $round = hypot(($barrel->to - $barrel->from) / 2, $barrel->radius);
        if ($this->solid->distance(...$middle) >= $round + $gapMm) {
            return true;
        }

        return Parting::keeps($this->nearest(...), $barrel, $middle, $gapMm);
    }

    /**
     * @param  array{float, float, float}  $x
     * @return array{float, float, float} its point nearest to a place
     */
    private function nearest(array $x): array
    {
        return $this->skin->nearestTo(...$x);
    }
}
