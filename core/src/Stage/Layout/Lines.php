<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Base\Geometry\Vector;

/** The centrelines of routed runs as points near enough to each other to tell how far a place lies from a tube. */
final readonly class Lines
{
    /** Points this far apart (mm) stand for a centreline: within 0.4 mm at the distances that matter. */
    private const EVERY_MM = 12.0;

    /**
     * @param  array<string, list<Vector>>  $points  by the letter of the run
     * @param  array<string, array{Vector, Vector}>  $boxes  round the points of each: its least and its greatest corner
     */
    private function __construct(private array $points, private array $boxes) {}

    /** @param  list<RoutedRun>  $runs */
    public static function of(array $runs): self
    {
        $points = $boxes = [];
        foreach ($runs as $one) {
            $line = $points[$one->spec->letter] = $one->line->points(self::EVERY_MM);
            [$x, $y, $z] = [array_column($line, 'x'), array_column($line, 'y'), array_column($line, 'z')];
            $boxes[$one->spec->letter] = [
                new Vector(min($x), min($y), min($z)),
                new Vector(max($x), max($y), max($z)),
            ];
        }

        return new self($points, $boxes);
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
        [$low, $high] = $this->boxes[$letter];
        if (
            $at->x < $low->x - $farMm || $at->x > $high->x + $farMm
            || $at->y < $low->y - $farMm || $at->y > $high->y + $farMm
            || $at->z < $low->z - $farMm || $at->z > $high->z + $farMm
        ) {
            return $near;
        }
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
