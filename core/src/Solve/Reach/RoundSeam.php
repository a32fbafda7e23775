<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach;

use UpsweptBead\Core\Base\Geometry\Vector;

/** A seam round an axis: a butt, or a fillet where the normal leans to the axis. Angles grow right-handed about it. */
final readonly class RoundSeam
{
    private Vector $zero;

    private Vector $quarter;

    /**
     * @param  Vector  $axis  of length 1
     * @param  Vector  $zero  where the angle is 0; not along the axis
     * @param  float  $leanRad  of the normal from the way outwards to the axis: 0 for a butt, over a right angle inside
     */
    public function __construct(
        private Vector $centre,
        private Vector $axis,
        Vector $zero,
        public float $radiusMm,
        private float $leanRad,
    ) {
        $this->zero = $zero->minus($axis->times($zero->dot($axis)))->unit();
        $this->quarter = $axis->cross($this->zero);
    }

    public function at(float $rad): SeamPlace
    {
        $out = $this->zero->times(cos($rad))->plus($this->quarter->times(sin($rad)));

        return SeamPlace::of(
            $this->centre->plus($out->times($this->radiusMm)),
            $out->times(cos($this->leanRad))->plus($this->axis->times(sin($this->leanRad))),
            $this->axis->cross($out),
        );
    }
}
