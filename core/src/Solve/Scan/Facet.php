<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Scan;

use UpsweptBead\Core\Base\Geometry\Vector;

/** A triangle of a scan near a place: its corners, its middle, the way it faces and its size. Lengths in mm. */
final readonly class Facet
{
    /** @param  array{Vector, Vector, Vector}  $corners */
    private function __construct(
        public array $corners,
        public Vector $middle,
        public Vector $normal,
        public float $areaMm2,
    ) {}

    /** Null where its corners lie in a line. */
    public static function of(Vector $a, Vector $b, Vector $c): ?self
    {
        $across = $b->minus($a)->cross($c->minus($a));
        $twice = $across->length();

        return $twice < 1e-9 ? null : new self(
            [$a, $b, $c],
            $a->plus($b)->plus($c)->times(1 / 3),
            $across->times(1 / $twice),
            $twice / 2,
        );
    }
}
