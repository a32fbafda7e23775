<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Collector;

/**
 * A plane that a pipe is sawn along: where it comes first along the outside (radians, mm), and its angle to the
 * centreline.
 */
final readonly class PlaneCut
{
    public function __construct(public float $psi, public float $startMm, public float $angle) {}
}
