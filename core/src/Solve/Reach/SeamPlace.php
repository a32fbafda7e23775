<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach;

use UpsweptBead\Core\Base\Geometry\Vector;

/** One place of a seam: p on it, n the normal a torch stands along, t the way of the seam, b = n × t its side. */
final readonly class SeamPlace
{
    public float $bx;

    public float $by;

    public float $bz;

    public function __construct(
        public float $px,
        public float $py,
        public float $pz,
        public float $nx,
        public float $ny,
        public float $nz,
        public float $tx,
        public float $ty,
        public float $tz,
    ) {
        $this->bx = $ny * $tz - $nz * $ty;
        $this->by = $nz * $tx - $nx * $tz;
        $this->bz = $nx * $ty - $ny * $tx;
    }

    /**
     * @param  Vector  $normal  of length 1, as the tangent is
     */
    public static function of(Vector $at, Vector $normal, Vector $tangent): self
    {
        return new self(
            $at->x, $at->y, $at->z,
            $normal->x, $normal->y, $normal->z,
            $tangent->x, $tangent->y, $tangent->z,
        );
    }
}
