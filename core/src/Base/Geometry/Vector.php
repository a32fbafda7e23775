<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry;

/** A point or a direction in the job's right-handed axes; millimetres where it is a point. */
final readonly class Vector
{
    /** A direction whose x is a greater part of it than this is turned away from y instead of from x. */
    private const MOSTLY_X = 0.8;

    public function __construct(public float $x, public float $y, public float $z) {}

    /**
     * The middle of places.
     *
     * @param  non-empty-list<self>  $places
     */
    public static function mean(array $places): self
    {
        $sum = new self(0.0, 0.0, 0.0);
        foreach ($places as $one) {
            $sum = $sum->plus($one);
        }

        return $sum->times(1 / count($places));
    }

    public function plus(self $other): self
    {
        return new self($this->x + $other->x, $this->y + $other->y, $this->z + $other->z);
    }

    public function minus(self $other): self
    {
        return new self($this->x - $other->x, $this->y - $other->y, $this->z - $other->z);
    }

    /** So many times as long; the factor is a plain number. */
    public function times(float $factor): self
    {
        return new self($this->x * $factor, $this->y * $factor, $this->z * $factor);
    }

    /** The scalar product, in the product of both units: the part along the other, if that has length 1. */
    public function dot(self $other): float
    {
        return $this->x * $other->x + $this->y * $other->y + $this->z * $other->z;
    }

    public function cross(self $other): self
    {
        return new self(
            $this->y * $other->z - $this->z * $other->y,
            $this->z * $other->x - $this->x * $other->z,
            $this->x * $other->y - $this->y * $other->x,
        );
    }

    /** In the unit of its parts: mm for a place. */
    public function length(): float
    {
        return sqrt($this->dot($this));
    }

    /** Between two places, in mm. */
    public function distanceTo(self $other): float
    {
        return $this->minus($other)->length();
    }

    /**
     * Gives the direction of this vector, of length 1.
     *
     * @throws \DomainException if the vector is zero or not finite
     */
    public function unit(): self
    {
        $length = $this->length();
        if (! is_finite($length) || $length < 1e-12) {
            throw new \DomainException('A direction must not be zero.');
        }

        return $this->times(1 / $length);
    }

    /** Gives the angle to another vector in degrees, 0 to 180; accurate for tiny angles too. */
    public function angleDegTo(self $other): float
    {
        return rad2deg(atan2($this->cross($other)->length(), $this->dot($other)));
    }

    /** Turns about a unit axis through the origin, right-handed, by degrees. */
    public function turnedAbout(self $axis, float $angleDeg): self
    {
        [$cos, $sin] = [cos(deg2rad($angleDeg)), sin(deg2rad($angleDeg))];

        return $this->times($cos)
            ->plus($axis->cross($this)->times($sin))
            ->plus($axis->times($axis->dot($this) * (1 - $cos)));
    }

    /** Gives the part of this vector that is square to a unit direction. */
    public function squareTo(self $direction): self
    {
        return $this->minus($direction->times($this->dot($direction)));
    }

    /** @return array{float, float, float} */
    public function toArray(): array
    {
        return [$this->x, $this->y, $this->z];
    }

    /** Some direction of length 1 square to it; the same one every time. */
    public function anySide(): self
    {
        $other = abs($this->x) < self::MOSTLY_X * $this->length() ? new self(1, 0, 0) : new self(0, 1, 0);

        return $this->cross($other)->unit();
    }
}
