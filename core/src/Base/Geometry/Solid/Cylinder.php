<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Solid;

use UpsweptBead\Core\Base\Geometry\Vector;

/** A round bar with flat ends, such as a shaft or a collector. */
final readonly class Cylinder extends KeepOut
{
    public Vector $axis;

    public float $halfMm;

    public Vector $middle;

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
        $along = $to->minus($from);
        $this->axis = $along->unit();
        $this->halfMm = $along->length() / 2;
        $this->middle = $from->plus($along->times(0.5));
    }

    /** In mm, negative inside. */
    public function distance(float $x, float $y, float $z): float
    {
        $x -= $this->middle->x;
        $y -= $this->middle->y;
        $z -= $this->middle->z;
        $s = $x * $this->axis->x + $y * $this->axis->y + $z * $this->axis->z;
        $square = $x * $x + $y * $y + $z * $z - $s * $s;
        $u = sqrt($square > 0.0 ? $square : 0.0) - $this->radiusMm;
        $v = abs($s) - $this->halfMm;
        if ($u <= 0.0 || $v <= 0.0) {
            return $u > $v ? $u : $v;
        }

        return sqrt($u * $u + $v * $v);
    }
}
