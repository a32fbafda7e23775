<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files\Flange;

/** A straight or an arc between two places, as a drawing has it; the bulge is that of Path. */
final readonly class LoosePiece
{
    public function __construct(
        public float $fromX,
        public float $fromY,
        public float $toX,
        public float $toY,
        public float $bulge = 0.0,
    ) {}

    public function scaled(float $by): self
    {
        return new self($this->fromX * $by, $this->fromY * $by, $this->toX * $by, $this->toY * $by, $this->bulge);
    }

    public function reversed(): self
    {
        return new self($this->toX, $this->toY, $this->fromX, $this->fromY, -$this->bulge);
    }

    public function lengthMm(): float
    {
        return hypot($this->toX - $this->fromX, $this->toY - $this->fromY);
    }

    /** The same so that it begins at the end nearer to a place. */
    public function from(float $x, float $y): self
    {
        return hypot($this->fromX - $x, $this->fromY - $y) <= hypot($this->toX - $x, $this->toY - $y)
            ? $this
            : $this->reversed();
    }

    public function apartMm(float $x, float $y): float
    {
        return min(hypot($this->fromX - $x, $this->fromY - $y), hypot($this->toX - $x, $this->toY - $y));
    }

    /** Whether both cross, taken as straights. */
    public function crosses(self $other): bool
    {
        return $this->side($other->fromX, $other->fromY) * $this->side($other->toX, $other->toY) < 0.0
            && $other->side($this->fromX, $this->fromY) * $other->side($this->toX, $this->toY) < 0.0;
    }

    private function side(float $x, float $y): float
    {
        return ($this->toX - $this->fromX) * ($y - $this->fromY) - ($this->toY - $this->fromY) * ($x - $this->fromX);
    }
}
