<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge;

/** A round tube as it meets others; mm. */
final readonly class RoundTube
{
    public function __construct(public float $odMm, public float $wallMm) {}

    /** Radius of its outside surface. */
    public function outsideMm(): float
    {
        return $this->odMm / 2;
    }

    /** Radius of its bore. */
    public function boreMm(): float
    {
        return $this->odMm / 2 - $this->wallMm;
    }
}
