<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Flatness;

/** A ring that seals about a bore: its middle on the face and its radii, mm. */
final readonly class Land
{
    public function __construct(public float $xMm, public float $yMm, public float $innerMm, public float $outerMm) {}

    /**
     * @param  string  $mark  of their names
     * @param  string  $label  before the hour
     * @param  list<int>  $hours
     * @return list<FacePoint> midway on it, at hours of the clock
     */
    public function points(string $mark, string $label, array $hours): array
    {
        $radiusMm = ($this->innerMm + $this->outerMm) / 2;

        return array_map(fn (int $hour): FacePoint => new FacePoint(
            "at$mark$hour",
            "$label$hour o’clock",
            $this->xMm + $radiusMm * sin(deg2rad(30 * $hour)),
            $this->yMm + $radiusMm * cos(deg2rad(30 * $hour)),
        ), $hours);
    }
}
