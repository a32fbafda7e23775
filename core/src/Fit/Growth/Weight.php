<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit\Growth;

/** What hangs on the start of a run where nothing else holds it: its mass, and how far out that is (mm). */
final readonly class Weight
{
    private const G = 9.81;

    public function __construct(public string $run, public float $massKg, public float $armMm) {}

    /** About the start of the run, in N·m. */
    public function momentNm(): float
    {
        return $this->massKg * self::G * $this->armMm / 1000;
    }
}
