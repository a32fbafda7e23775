<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

/**
 * Where to mark a cut on a bend: distances in mm from the tangent line it starts at, along three lines of the tube.
 *
 * On a leg the three are one. The plane through the three marks holds the bend's centre, so the cut is square.
 */
final readonly class CutMark
{
    public function __construct(
        public string $label,
        public float $outerMm,
        public float $centreMm,
        public float $innerMm,
    ) {}
}
