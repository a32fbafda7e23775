<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge;

use UpsweptBead\Core\Base\Geometry\Vector;

/** A point of a cut line: the angle round the tube (radians), the station along it (mm), and its place. */
final readonly class LinePoint
{
    /** @param  int  $by  what cuts the tube there: the index of another tube, or CutLine::OUTLET */
    public function __construct(
        public float $psi,
        public float $sMm,
        public Vector $at,
        public int $by = CutLine::OUTLET,
    ) {}
}
