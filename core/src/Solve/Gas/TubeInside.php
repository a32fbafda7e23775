<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * The inside of a tube: all that its flat round section sweeps along a line of straights and bends, with flat ends.
 * Plain numbers in mm and radians.
 */
final readonly class TubeInside
{
    /** So far before its beginning and behind its end a place still counts as in it (mm). */
    public const END_MM = 0.6;

    public float $lengthMm;

    /**
     * @param  non-empty-list<array{float, float, Vector, Vector, ?Vector}>  $parts  where each begins and how long it
     *   is (mm), its
     *                                                                     first point and direction, and the middle of
     *                                                                     its bend
     */
    private function __construct(public string $id, public float $radiusMm, private array $parts)
    {
        [$from, $long] = $parts[count($parts) - 1];
        $this->lengthMm = $from + $long;
    }

    /**
     * @param  non-empty-list<Vector>  $points  both ends and the vertices between
     * @param  list<float>  $radii  of the corners between
     * @return ?self null where bends overlap, or are tighter than half the bore
     */
    public static function of(string $id, float $boreMm, array $points, array $radii): ?self
    {
        $parts = [];
        $at = $points[0];
        $gone = 0.0;
        $last = count($points) - 1;
        for ($i = 1; $i <= $last; $i++) {
            $way = $points[$i]->minus($points[$i - 1])->unit();
            $cut = 0.0;
            $next = null;
            if ($i < $last) {
                $next = $points[$i + 1]->minus($points[$i])->unit();
                $turn = acos(max(-1.0, min(1.0, $way->dot($next))));
                $cut = $radii[$i - 1] * tan($turn / 2);
                if ($turn > 1e-6 && $radii[$i - 1] < $boreMm / 2 - 1e-6) {
                    return null;
                }
            }
            $straight = $points[$i]->minus($at)->dot($way) - $cut;
            if ($straight < -1e-6) {
                return null;
            }
            if ($straight > 1e-9) {
                $parts[] = [$gone, $straight, $at, $way, null];
                $gone += $straight;
                $at = $at->plus($way->times($straight));
            }
            if ($next !== null && $cut > 1e-9) {
                $side = $next->minus($way->times($next->dot($way)))->unit();
                $long = $radii[$i - 1] * 2 * atan($cut / $radii[$i - 1]);
                $parts[] = [$gone, $long, $at, $way, $at->plus($side->times($radii[$i - 1]))];
                $gone += $long;
                $at = $points[$i]->plus($next->times($cut));
            }
        }

        return $parts === [] ? null : new self($id, $boreMm / 2, $parts);
    }

    /**
     * Of straights and bends as they follow each other.
     *
     * @param  list<array{float, Vector, Vector, ?Vector}>  $parts  length (mm), first point and direction, middle of a
     *   bend
     */
    public static function ofParts(string $id, float $boreMm, array $parts): self
    {
        $placed = [];
        $gone = 0.0;
        foreach ($parts as [$long, $at, $way, $centre]) {
            $placed[] = [$gone, $long, $at, $way, $centre];
            $gone += $long;
        }

        return $placed === [] ? self::straight($id, $boreMm) : new self($id, $boreMm / 2, $placed);
    }

    /** A straight one of no account, in place of one that cannot be. */
    public static function straight(string $id, float $boreMm): self
    {
        return new self($id, $boreMm / 2, [[0.0, 1.0, new Vector(0, 0, 0), new Vector(1, 0, 0), null]]);
    }

    /**
     * Its middle at a station, the way it goes there, and towards the middle of the bend by the bend's curvature
     * (1/mm).
     *
     * @return array{Vector, Vector, Vector}
     */
    public function at(float $stationMm): array
    {
        [$from, $long, $at, $way, $centre] = $this->parts[0];
        foreach ($this->parts as $part) {
            if ($stationMm < $part[0]) {
                break;
            }
            [$from, $long, $at, $way, $centre] = $part;
        }
        $along = max(0.0, min($long, $stationMm - $from));
        if ($centre === null) {
            return [$at->plus($way->times($along)), $way, new Vector(0, 0, 0)];
        }
        $out = $at->minus($centre);
        $radius = $out->length();
        [$cos, $sin] = [cos($along / $radius), sin($along / $radius)];
        $now = $out->times($cos)->plus($way->times($radius * $sin));

        return [
            $centre->plus($now),
            $way->times($cos)->minus($out->times($sin / $radius)),
            $now->times(-1 / ($radius * $radius)),
        ];
    }

    /**
     * The station at which a place lies within its section; null where it does not.
     *
     * @param  float  $from  looked for from here on (mm)
     * @param  float  $until  and to here
     */
    public function within(Vector $place, float $from, float $until): ?float
    {
        $square = $this->radiusMm ** 2 + 1e-9;
        foreach ($this->parts as $k => [$start, $long, $at, $way, $centre]) {
            if ($start > $until || $start + $long < $from) {
                continue;
            }
            $off = $place->minus($centre ?? $at);
            // Only the ends of the whole bore reach a little beyond themselves.
            $before = $k === 0 ? self::END_MM : 1e-9;
            $behind = $k === count($this->parts) - 1 ? self::END_MM : 1e-9;
            if ($centre === null) {
                $along = $off->dot($way);
                $isIn = $along >= -$before && $along <= $long + $behind
                    && $off->dot($off) - $along * $along <= $square;
            } else {
                $out = $at->minus($centre);
                $radius = $out->length();
                [$x, $y] = [$off->dot($out) / $radius, $off->dot($way)];
                $along = atan2($y, $x) * $radius;
                $high = $off->dot($off) - $x * $x - $y * $y;
                $isIn = $along >= -$before && $along <= $long + $behind
                    && (hypot($x, $y) - $radius) ** 2 + max(0.0, $high) <= $square;
            }
            if ($isIn) {
                $station = $start + max(0.0, min($long, $along));
                if ($station >= $from - 1e-9 && $station <= $until + 1e-9) {
                    return $station;
                }
            }
        }

        return null;
    }
}
