<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Problem;

/** Tubes that must have one length: the target, or any common one where there is none. */
final readonly class LengthGroup
{
    /** @param  list<string>  $runners  port ids */
    public function __construct(public array $runners, public ?float $targetMm, public float $tolerancePercent) {}

    /** Gives how far a length may lie from the common one. */
    public function toleranceMm(float $commonMm): float
    {
        return $commonMm * $this->tolerancePercent / 100;
    }
}
