<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\KeepOut\KeepOutKind;
use UpsweptBead\Core\Job\KeepOut\KeepOutShape;
use UpsweptBead\Core\Job\KeepOut\KeepOutSpec;

/**
 * A keep-out by the points that were touched on it: two are the ends of a bar, three lie in a plane, four or more are
 * held by a level box along the first two. A bar that moves is touched in both positions, and stands in all between.
 */
final readonly class TouchedKeepOut
{
    /** Points nearer than this to one place, line or plane span nothing. */
    private const APART_MM = 1.0;

    /** Ports this near to a plane lie in it: they tell no side of it, only the way they face does. */
    private const IN_PLANE_MM = 5.0;

    /** Bars that stand for one that moves: more are not looked through any more. Our own figure. */
    private const MOST_BARS = 10;

    private function __construct(private KeepOutMaker $maker, private KeepOutKind $kind, private float $growMm) {}

    /**
     * @param  list<Vector>  $points
     * @param  float  $diameterMm  of a bar
     * @param  float  $growMm  by how much it may really be nearer
     *
     * @throws \DomainException if they are too few, or lie in one point, line or plane
     */
    public static function of(
        Job $job,
        KeepOutKind $kind,
        array $points,
        float $diameterMm,
        float $growMm = 0.0,
    ): KeepOutSpec {
        $touched = new self(new KeepOutMaker($job), $kind, $growMm);

        return match (true) {
            count($points) < 2 => throw new \DomainException(
                'Touch two points for a bar, three for a plane, four or more for a box.',
            ),
            count($points) === 2 => $touched->bar($points, $diameterMm),
            count($points) === 3 => $touched->plane($points),
            default => $touched->box($points),
        };
    }

    /**
     * A bar that moves, a lever or a shaft that swings: its two ends in one position, then the same two in the other.
     * Round an end that stays it swings; otherwise both ends go straight. Each bar is so thick that nothing lies between.
     *
     * @param  list<Vector>  $points
     * @return non-empty-list<KeepOutSpec>
     *
     * @throws \DomainException if there are not four, or they are no bar that moves
     */
    public static function moving(
        Job $job,
        KeepOutKind $kind,
        array $points,
        float $diameterMm,
        float $growMm = 0.0,
    ): array {
        if (count($points) !== 4) {
            throw new \DomainException('Touch its two ends in one position, then the same two in the other: four points.');
        }
        [$a, $b, $c, $d] = $points;
        if (min($a->distanceTo($b), $c->distanceTo($d)) < self::APART_MM || $diameterMm <= 0.0) {
            throw new \DomainException('A bar needs two points apart in either position, and a diameter.');
        }
        $radiusMm = $diameterMm / 2 + $growMm;
        $wayMm = max($a->distanceTo($c), $b->distanceTo($d));
        $steps = min(self::MOST_BARS - 1, max(1, (int) ceil($wayMm / $radiusMm)));
        $bars = array_map(
            static fn (int $i): array => self::between([$a, $b], [$c, $d], $i / $steps),
            range(0, $steps),
        );
        $apartMm = 0.0;
        for ($i = 0; $i < $steps; $i++) {
            $apartMm = max(
                $apartMm,
                $bars[$i][0]->distanceTo($bars[$i + 1][0]),
                $bars[$i][1]->distanceTo($bars[$i + 1][1]),
            );
        }
        $touched = new self(new KeepOutMaker($job), $kind, $growMm);

        return array_map(static fn (array $bar, int $i): KeepOutSpec => $touched->maker->spec(
            $kind,
            KeepOutShape::Capsule,
            $bar[0],
            to: $bar[1],
            radiusMm: hypot($radiusMm, $apartMm / 2),
            note: 'It moves; touched in two positions',
            suffix: sprintf(', %d of %d', $i + 1, $steps + 1),
        ), $bars, array_keys($bars));
    }

    /**
     * @param  array{Vector, Vector}  $from
     * @param  array{Vector, Vector}  $to
     * @param  float  $part  of the way, 0 to 1
     * @return array{Vector, Vector}
     */
    private static function between(array $from, array $to, float $part): array
    {
        foreach ([[0, 1], [1, 0]] as [$still, $far]) {
            if ($from[$still]->distanceTo($to[$still]) < self::APART_MM) {
                $pivot = $from[$still];
                $out = $from[$far]->minus($pivot);
                $last = $to[$far]->minus($pivot);
                $across = $out->cross($last);
                if ($across->length() > self::APART_MM ** 2) {
                    $turned = $out->turnedAbout($across->unit(), $part * $out->angleDegTo($last));
                    $lengthMm = (1 - $part) * $out->length() + $part * $last->length();
                    $end = $pivot->plus($turned->unit()->times($lengthMm));

                    return $still === 0 ? [$pivot, $end] : [$end, $pivot];
                }
            }
        }
        $mix = static fn (Vector $one, Vector $other): Vector => $one->times(1 - $part)->plus($other->times($part));

        return [$mix($from[0], $to[0]), $mix($from[1], $to[1])];
    }

    /** @param  list<Vector>  $points */
    private function bar(array $points, float $diameterMm): KeepOutSpec
    {
        if ($points[0]->distanceTo($points[1]) < self::APART_MM || $diameterMm <= 0.0) {
            throw new \DomainException('A bar needs two points apart, and a diameter.');
        }

        return $this->maker->spec(
            $this->kind,
            KeepOutShape::Capsule,
            $points[0],
            to: $points[1],
            radiusMm: $diameterMm / 2 + $this->growMm,
        );
    }

    /** @param  list<Vector>  $points */
    private function plane(array $points): KeepOutSpec
    {
        $across = $points[1]->minus($points[0])->cross($points[2]->minus($points[0]));
        if ($across->length() < self::APART_MM ** 2) {
            throw new \DomainException('These three points lie in one line; a plane needs three that do not.');
        }
        $out = $across->unit();
        $toPortsMm = $out->dot($this->maker->ports()->minus($points[0]));
        $isAhead = abs($toPortsMm) > self::IN_PLANE_MM ? $toPortsMm > 0.0 : $out->dot($this->maker->outward()) > 0.0;
        $out = $isAhead ? $out : $out->times(-1.0);

        return $this->maker->spec(
            $this->kind,
            KeepOutShape::HalfSpace,
            $points[0]->plus($out->times($this->growMm)),
            direction: $out,
        );
    }

    /** @param  non-empty-list<Vector>  $points */
    private function box(array $points): KeepOutSpec
    {
        $along = $points[1]->minus($points[0]);
        $along = new Vector($along->x, $along->y, 0.0);
        $along = $along->length() < self::APART_MM ? new Vector(1.0, 0.0, 0.0) : $along->unit();
        $at = new Vector(0.0, 0.0, 0.0);
        $size = [];
        foreach ([$along, new Vector(-$along->y, $along->x, 0.0), new Vector(0.0, 0.0, 1.0)] as $axis) {
            $stations = array_map(static fn (Vector $one): float => $axis->dot($one), $points);
            [$least, $most] = [min($stations), max($stations)];
            if ($most - $least < self::APART_MM) {
                throw new \DomainException('These points lie in one plane; a box needs one that stands out of it.');
            }
            $at = $at->plus($axis->times(($least + $most) / 2));
            $size[] = $most - $least + 2 * $this->growMm;
        }

        return $this->maker->spec(
            $this->kind,
            KeepOutShape::Box,
            $at,
            direction: $along,
            sizeMm: [$size[0], $size[1], $size[2]],
        );
    }
}
