<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

/**
 * One row of a length–rotation–angle table: the straight before the bend, the turn to its plane, the bend itself.
 *
 * `rotationDeg` counts from the previous throat line (from the start's reference line for the first bend), clockwise
 * looking with the flow. `clrMm` is the centreline radius. With `pieWelds` it is made of wedges with so many welds.
 */
final readonly class Bend
{
    /** What one weld of a pie-cut bend usually turns, common practice. */
    private const USUAL_WELD_DEG = 18.0;

    public function __construct(
        public float $straightMm,
        public float $rotationDeg,
        public float $angleDeg,
        public float $clrMm,
        public int $pieWelds = 0,
    ) {}

    public function arcMm(): float
    {
        return $this->clrMm * deg2rad($this->angleDeg);
    }

    /** Distance from the vertex to either tangent point: R·tan(θ/2). */
    public function setbackMm(): float
    {
        return $this->clrMm * tan(deg2rad($this->angleDeg) / 2);
    }

    /** Length in mm along the bend at a distance from its centreline: positive outside, negative inside. */
    public function edgeMm(float $offsetMm): float
    {
        return ($this->clrMm + $offsetMm) * deg2rad($this->angleDeg);
    }

    /** Welds that it would usually have if it were made of wedges. */
    public function usualWelds(): int
    {
        return max(1, (int) round($this->angleDeg / self::USUAL_WELD_DEG));
    }

    public function with(?float $straightMm = null, ?float $rotationDeg = null): self
    {
        return new self(
            $straightMm ?? $this->straightMm,
            $rotationDeg ?? $this->rotationDeg,
            $this->angleDeg,
            $this->clrMm,
            $this->pieWelds,
        );
    }
}
