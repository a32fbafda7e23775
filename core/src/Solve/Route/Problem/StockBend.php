<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Problem;

/** A bend on the shelf: centre-line radius, greatest angle, and the straight that comes with it on each side. */
final readonly class StockBend
{
    public function __construct(public float $radiusMm, public float $maxAngleDeg, public float $legMm) {}
}
