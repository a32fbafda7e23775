<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool;

/** A tube with a seam, what stands at its ends, and the air about it: all that decides how it cools. */
final readonly class HotTube
{
    /** @param  array{TubeSide, TubeSide}  $sides  the second one downstream of the seam */
    public function __construct(
        public float $odMm,
        public float $wallMm,
        public float $densityKgM3,
        public Property $heatJKgK,
        public Property $conductivityWMK,
        public float $emissivity,
        public array $sides,
        public Film $film,
        public float $airC,
        public float $insideWM2K,
        public float $startC,
    ) {}

    /** Whether both sides of the seam are the same. */
    public function isAlike(): bool
    {
        return serialize($this->sides[0]) === serialize($this->sides[1]);
    }

    /** Only what lies downstream of the seam. */
    public function half(): self
    {
        return new self(
            $this->odMm,
            $this->wallMm,
            $this->densityKgM3,
            $this->heatJKgK,
            $this->conductivityWMK,
            $this->emissivity,
            [new TubeSide(0.0, TubeEnd::bare()), $this->sides[1]],
            $this->film,
            $this->airC,
            $this->insideWM2K,
            $this->startC,
        );
    }

    /** Of the metal across the tube, mm². */
    public function areaMm2(): float
    {
        return M_PI * ($this->odMm - $this->wallMm) * $this->wallMm;
    }

    public function seamMm(): float
    {
        return M_PI * $this->odMm;
    }
}
