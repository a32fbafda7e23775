<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Solid;

use UpsweptBead\Core\Base\Geometry\Vector;

/** Everything behind a plane, such as the head that the ports stand in. */
final readonly class HalfSpace extends KeepOut
{
    /** @param  Vector  $normal  out of the solid, of length 1 */
    public function __construct(
        string $id,
        public Vector $point,
        public Vector $normal,
        ?float $clearanceMm = null,
        float $exemptFirstMm = 0.0,
        float $exemptLastMm = 0.0,
    ) {
        parent::__construct($id, $clearanceMm, $exemptFirstMm, $exemptLastMm);
    }

    /** In mm, negative inside. */
    public function distance(float $x, float $y, float $z): float
    {
        return ($x - $this->point->x) * $this->normal->x +
            ($y - $this->point->y) * $this->normal->y +
            ($z - $this->point->z) * $this->normal->z;
    }
}
