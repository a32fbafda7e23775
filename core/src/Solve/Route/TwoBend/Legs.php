<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\TwoBend;

/** A two-bend route's numbers: vertex distances p, m, q (mm), bend angles (°) and what is left of each leg (mm). */
final readonly class Legs
{
    public function __construct(
        public float $p,
        public float $q,
        public float $firstAngleDeg,
        public float $secondAngleDeg,
        public float $firstMm,
        public float $innerMm,
        public float $lastMm,
        public float $lengthMm,
    ) {}
}
