<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Flatness;

/**
 * The land that seals, a ring about a bore, with the points it is measured at. What lies outside it does not seal and is
 * not judged.
 */
final readonly class Face
{
    /** By the clock: few enough to be read with gloves on, enough to tell a saddle from a tilt; our own figure. */
    private const POINTS = 6;

    private const HOURS = [12, 2, 4, 6, 8, 10];

    /**
     * @param  list<FacePoint>  $points
     * @param  float  $limitMm  most from its highest to its lowest point
     */
    private function __construct(
        public array $points,
        public float $innerMm,
        public float $outerMm,
        public float $limitMm,
    ) {}

    /** Round a bore, from its edge to where the land ends (radii in mm). */
    public static function ring(float $innerMm, float $outerMm, float $limitMm): self
    {
        $radiusMm = ($innerMm + $outerMm) / 2;
        $points = [];
        foreach (self::HOURS as $i => $hour) {
            $deg = 360 / self::POINTS * $i;
            $points[] = new FacePoint(
                "at$hour",
                "$hour o’clock",
                $radiusMm * sin(deg2rad($deg)),
                $radiusMm * cos(deg2rad($deg)),
            );
        }

        return new self($points, $innerMm, $outerMm, $limitMm);
    }

    /** @param  array<string, float>  $readingsMm  heights by the name of their point, from whatever was zero */
    public function judge(array $readingsMm): ?Flatness
    {
        return Flatness::of($this, $readingsMm);
    }
}
