<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Layout;

use UpsweptBead\Core\Geometry\Vector;

/** The centrelines of routed runs as points near enough to each other to tell how far a place lies from a tube. */
final readonly class Lines
{
    /** Points this far apart (mm) stand for a centreline: within 0.4 mm at the distances that matter. */
    private const EVERY_MM = 12.0;

    /** @param  array<string, list<Vector>>  $points  by the letter of the run */
    private function __construct(private array $points) {}

    /** @param  list<RoutedRun>  $runs */
    public static function of(array $runs): self
    {
        $points = [];
        foreach ($runs as $one) {
            $points[$one->spec->letter] = $one->line->points(self::EVERY_MM);
        }

        return new self($points);
    }

    /** Distance in mm from a place to the centreline of a run. */
    public function least(string $letter, Vector $at): float
    {
        return self::leastOf($this->points[$letter], $at);
    }

    /**
     * The points of a run no farther (mm) from a place.
     *
     * @return list<Vector>
     */
    public function within(string $letter, Vector $at, float $farMm): array
    {
        $near = [];
        foreach ($this->points[$letter] as $point) {
            [$x, $y, $z] = [$point->x - $at->x, $point->y - $at->y, $point->z - $at->z];
            if ($x * $x + $y * $y + $z * $z < $farMm * $farMm) {
                $near[] = $point;
            }
        }

        return $near;
    }

    /**
     * Distance in mm from a place to the nearest of some points; without end if there are none.
     *
     * @param  list<Vector>  $points
     */
    public static function leastOf(array $points, Vector $at): float
    {
        $least = INF;
        foreach ($points as $point) {
            $x = $point->x - $at->x;
            $y = $point->y - $at->y;
            $z = $point->z - $at->z;
            $square = $x * $x + $y * $y + $z * $z;
            $least = $square < $least ? $square : $least;
        }

        return sqrt($least);
    }
}
