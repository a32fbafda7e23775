<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

/**
 * Where to mark a cut: distances in mm from what its label names, along three lines of the tube. On a straight the
 * three are one. The plane through the three marks of a bend holds the bend's centre, so the cut is square.
 *
 * The cut leaves the extra length on: the finished end lies `longMm` inside it.
 */
final readonly class CutMark
{
    public function __construct(
        public string $label,
        public MarkKind $kind,
        public float $outerMm,
        public float $centreMm,
        public float $innerMm,
        public float $longMm,
    ) {}
}
