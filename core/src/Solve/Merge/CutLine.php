<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge;

/**
 * The line along which the outside of a tube is cut, all the way round. Where what cuts it changes there is a corner;
 * it is a point of the line, since a line without its corners is off by half a millimetre there.
 */
final readonly class CutLine
{
    /** What cuts a tube that no other tube does: the plane of the outlet, or its only neighbour. */
    public const OUTLET = -1;

    /** Chords of half a degree are together within 0.01 % of the line. */
    public const STEP_DEG = 0.5;

    private const CORNER_HALVINGS = 50;

    /** @param  non-empty-list<LinePoint>  $points  from psi 0 to a full turn, both ends counted */
    private function __construct(public array $points) {}

    /** @param  callable(float): LinePoint  $at  by psi, in radians */
    public static function trace(callable $at, float $stepDeg = self::STEP_DEG): self
    {
        $count = (int) round(360.0 / $stepDeg);
        $points = [$last = $at(0.0)];
        for ($i = 1; $i <= $count; $i++) {
            $next = $at(2 * M_PI * $i / $count);
            if ($next->by !== $last->by) {
                $points[] = self::corner($at, $last, $next);
            }
            $points[] = $last = $next;
        }

        return new self($points);
    }

    /**
     * The last point before what cuts the tube changes, marked with what cuts it behind that.
     *
     * @param  callable(float): LinePoint  $at
     */
    private static function corner(callable $at, LinePoint $from, LinePoint $to): LinePoint
    {
        for ($i = 0; $i < self::CORNER_HALVINGS; $i++) {
            $middle = $at(($from->psi + $to->psi) / 2);
            if ($middle->by === $from->by) {
                $from = $middle;
            } else {
                $to = $middle;
            }
        }

        return $to;
    }

    /** Length in space of all that one thing cuts; mm. */
    public function lengthMm(int $by): float
    {
        $sum = 0.0;
        foreach ($this->points as $i => $point) {
            $before = $this->points[$i - 1] ?? null;
            if ($before === null) {
                continue;
            }
            // A corner is marked with what follows; what leads up to it is marked as the point before.
            if ($before->by === $by) {
                $sum += $before->at->distanceTo($point->at);
            }
        }

        return $sum;
    }

    public function greatestMm(): float
    {
        return max(array_map(static fn (LinePoint $one): float => $one->sMm, $this->points));
    }
}
