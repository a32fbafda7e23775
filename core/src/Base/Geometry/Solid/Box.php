<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Solid;

use UpsweptBead\Core\Base\Geometry\Vector;

/** A box turned any way. */
final readonly class Box extends KeepOut
{
    /**
     * @param  array{Vector, Vector, Vector}  $axes  along its edges, square to each other, of length 1
     * @param  array{float, float, float}  $halfMm  half of each edge
     */
    public function __construct(
        string $id,
        public Vector $centre,
        public array $axes,
        public array $halfMm,
        ?float $clearanceMm = null,
        float $exemptFirstMm = 0.0,
        float $exemptLastMm = 0.0,
    ) {
        parent::__construct($id, $clearanceMm, $exemptFirstMm, $exemptLastMm);
    }

    /** In mm, negative inside. */
    public function distance(float $x, float $y, float $z): float
    {
        $x -= $this->centre->x;
        $y -= $this->centre->y;
        $z -= $this->centre->z;
        [$a, $b, $c] = $this->axes;
        $u = abs($x * $a->x + $y * $a->y + $z * $a->z) - $this->halfMm[0];
        $v = abs($x * $b->x + $y * $b->y + $z * $b->z) - $this->halfMm[1];
        $w = abs($x * $c->x + $y * $c->y + $z * $c->z) - $this->halfMm[2];
        if ($u <= 0.0 && $v <= 0.0 && $w <= 0.0) {
            return max($u, $v, $w);
        }
        $u = $u > 0.0 ? $u : 0.0;
        $v = $v > 0.0 ? $v : 0.0;
        $w = $w > 0.0 ? $w : 0.0;

        return sqrt($u * $u + $v * $v + $w * $w);
    }
}
