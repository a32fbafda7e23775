<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Reach\Obstacle;

/**
 * Something convex that stands beside a seam: a straight length of tube, a block, a wall. Torch and rod are round about
 * a line from a point p in a direction a of length 1; `from` and `to` are measured along it from p. All in mm and
 * radians. Plain numbers: this is asked in the innermost loop.
 */
interface Obstacle
{
    /** The neighbour that it is, or is part of. */
    public function id(): string;

    /** Of a place from it in mm, negative inside. It is convex: between two places never more than at one of them. */
    public function distance(float $x, float $y, float $z): float;

    /**
     * A point of a flat-ended cylinder that lies deep in it if the two meet; not always the deepest.
     *
     * @return array{float, float, float}
     */
    public function deepest(
        float $px,
        float $py,
        float $pz,
        float $ax,
        float $ay,
        float $az,
        float $from,
        float $to,
        float $radius,
    ): array;

    /** Whether a flat-ended cylinder keeps a gap from it. */
    public function clearsFlat(
        float $px,
        float $py,
        float $pz,
        float $ax,
        float $ay,
        float $az,
        float $from,
        float $to,
        float $radius,
        float $gap,
    ): bool;

    /** Whether a line keeps a distance from it: a round-ended bar of that radius. */
    public function clearsLine(
        float $px,
        float $py,
        float $pz,
        float $ax,
        float $ay,
        float $az,
        float $from,
        float $to,
        float $distance,
    ): bool;
}
