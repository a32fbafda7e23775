<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Flatness;

/**
 * The lands that seal on one plane, each a ring about a bore, with the points they are measured at. What lies outside
 * them does not seal and is not judged.
 */
final readonly class Face
{
    /** By the clock: few enough to be read with gloves on, enough to tell a saddle from a tilt; our own figure. */
    private const HOURS = [12, 2, 4, 6, 8, 10];

    /** Of each of several: enough to tell how it leans and how far it stands back; our own figure. */
    private const HOURS_OF_SEVERAL = [12, 4, 8];

    /**
     * @param  list<FacePoint>  $points
     * @param  list<Land>  $lands
     * @param  float  $limitMm  most from its highest to its lowest point
     */
    private function __construct(public array $points, public array $lands, public float $limitMm) {}

    /** Round a bore, from its edge to where the land ends (radii in mm). */
    public static function ring(float $innerMm, float $outerMm, float $limitMm): self
    {
        $land = new Land(0.0, 0.0, $innerMm, $outerMm);

        return new self($land->points('', '', self::HOURS), [$land], $limitMm);
    }

    /** @param  array<string, Land>  $lands  that seal against one part together, by what they are marked with */
    public static function together(array $lands, float $limitMm): self
    {
        $points = [];
        foreach ($lands as $mark => $land) {
            array_push($points, ...$land->points("$mark-", "$mark, ", self::HOURS_OF_SEVERAL));
        }

        return new self($points, array_values($lands), $limitMm);
    }

    /** @param  array<string, float>  $readingsMm  heights by the name of their point, from whatever was zero */
    public function judge(array $readingsMm): ?Flatness
    {
        return Flatness::of($this, $readingsMm);
    }
}
