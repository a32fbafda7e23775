<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Set;

/** How equal the lengths of a group have come out. */
final readonly class LengthCheck
{
    /**
     * @param  array<string, float>  $lengthsMm  by letter
     * @param  float  $commonMm  the target, or the middle of what there is
     */
    public function __construct(public array $lengthsMm, public float $commonMm, public float $toleranceMm, public bool $hasTarget) {}

    public function spreadMm(): float
    {
        return $this->lengthsMm === [] ? 0.0 : max($this->lengthsMm) - min($this->lengthsMm);
    }

    public function worstMm(): float
    {
        return $this->lengthsMm === [] ? 0.0 : max(array_map(fn (float $length): float => abs($length - $this->commonMm), $this->lengthsMm));
    }

    public function holds(): bool
    {
        return $this->worstMm() <= $this->toleranceMm + 0.05;
    }
}
