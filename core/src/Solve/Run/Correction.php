<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

/**
 * One change to a run and the far end it would leave: a turn (°) before bend `index`, or a trim (mm) of straight
 * `index`.
 */
final readonly class Correction
{
    public function __construct(
        public CorrectionKind $kind,
        public int $index,
        public float $amount,
        public FarEnd $leaves,
    ) {}

    /** What it leaves open, as FarEnd weighs it: mm, with 10 mm for a degree. */
    public function badness(): float
    {
        return $this->leaves->badness();
    }
}
