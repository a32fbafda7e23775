<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use UpsweptBead\Core\Base\Geometry\Vector;

/** One straight or bend of a tube: where it begins and ends, and what it turns about. Millimetres and degrees. */
final readonly class SkinPart
{
    /**
     * @param  Vector  $side  the line on the side of the tube where it begins
     * @param  Vector|null  $axis  the bend turns right-handed about it; null for a straight
     * @param  Vector|null  $centre  of the bend
     */
    public function __construct(
        public Vector $at,
        public Vector $forward,
        public Vector $side,
        public Vector $endAt,
        public Vector $endForward,
        public Vector $endSide,
        public ?Vector $axis,
        public ?Vector $centre,
        public float $clrMm,
        public float $angleDeg,
        public float $lengthMm,
    ) {}

    /** The section after a share of it, 0 to 1. */
    public function ringAt(float $share): SkinRing
    {
        if ($this->axis === null || $this->centre === null) {
            return new SkinRing(
                $this->at->plus($this->forward->times($share * $this->lengthMm)),
                $this->forward,
                $this->side,
            );
        }
        $turn = $share * $this->angleDeg;

        return new SkinRing(
            $this->centre->plus($this->at->minus($this->centre)->turnedAbout($this->axis, $turn)),
            $this->forward->turnedAbout($this->axis, $turn),
            $this->side->turnedAbout($this->axis, $turn),
        );
    }
}
