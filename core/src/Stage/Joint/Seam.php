<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Joint;

/**
 * Where a seam lies and how long it is, in mm: its station along the run, its length once round, and the outside
 * diameter of what it goes round; with the mark that is scribed across it.
 */
final readonly class Seam
{
    public function __construct(
        public float $stationMm,
        public float $lengthMm,
        public float $odMm,
        public IndexMark $index,
    ) {}

    public static function round(float $stationMm, float $acrossMm, float $odMm, int $number): self
    {
        return new self($stationMm, M_PI * $acrossMm, $odMm, IndexMark::forJoint($number));
    }
}
