<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Solid;

use UpsweptBead\Core\Base\Geometry\Vector;

/** A round bar with round ends: all that lies within a radius of a line from one point to another. */
final readonly class Capsule extends KeepOut
{
    private Vector $along;

    private float $square;

    public function __construct(
        string $id,
        public Vector $from,
        public Vector $to,
        public float $radiusMm,
        ?float $clearanceMm = null,
        float $exemptFirstMm = 0.0,
        float $exemptLastMm = 0.0,
    ) {
        parent::__construct($id, $clearanceMm, $exemptFirstMm, $exemptLastMm);
        $this->along = $to->minus($from);
        $this->square = $this->along->dot($this->along);
    }

    /** In mm, negative inside. */
    public function distance(float $x, float $y, float $z): float
    {
        $x -= $this->from->x;
        $y -= $this->from->y;
        $z -= $this->from->z;
        $t = 0.0;
        if ($this->square > 0.0) {
            $t = ($x * $this->along->x + $y * $this->along->y + $z * $this->along->z) / $this->square;
            $t = $t < 0.0 ? 0.0 : ($t > 1.0 ? 1.0 : $t);
        }
        $x -= $t * $this->along->x;
        $y -= $t * $this->along->y;
        $z -= $t * $this->along->z;

        return sqrt($x * $x + $y * $y + $z * $z) - $this->radiusMm;
    }
}
