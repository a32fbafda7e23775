<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Flange;

/** A round place on a plate: right and up of its middle, and a radius; mm. */
final readonly class Disc
{
    public function __construct(public float $xMm, public float $yMm, public float $radiusMm) {}
}
