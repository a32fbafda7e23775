<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Problem;

/** One straight or one circular bend of a chain. A straight has no radius and no angle. */
final readonly class Link
{
    /** Two radii are the same within this: what it makes of half a turn is still less than a saw can tell. */
    public const SAME_CLR_MM = 0.015;

    /** @param  int  $element  its place in the file */
    private function __construct(
        public float $lengthMm,
        public float $clrMm,
        public float $angleDeg,
        public int $element,
    ) {}

    public static function straight(float $lengthMm, int $element = 0): self
    {
        return new self($lengthMm, 0.0, 0.0, $element);
    }

    public static function bend(float $angleDeg, float $clrMm, int $element = 0): self
    {
        return new self(deg2rad($angleDeg) * $clrMm, $clrMm, $angleDeg, $element);
    }

    /** Whether a bend of this radius can be cut from it, or it from one. */
    public function hasRadius(float $clrMm): bool
    {
        return abs($this->clrMm - $clrMm) <= self::SAME_CLR_MM;
    }

    public function isBend(): bool
    {
        return $this->angleDeg > 0.0;
    }
}
