<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Problem;

/** A convex solid that no tube may come near. Every length in mm. */
abstract readonly class KeepOut
{
    /**
     * @param  ?float  $clearanceMm  in place of the problem's general clearance
     * @param  float  $exemptFirstMm  this much of every tube, along its centreline from the port, is not tested against it
     * @param  float  $exemptLastMm  the same, back from the inlet
     */
    public function __construct(
        public string $id,
        public ?float $clearanceMm = null,
        public float $exemptFirstMm = 0.0,
        public float $exemptLastMm = 0.0,
    ) {}

    /**
     * Gives the distance of a point from the surface, negative inside (where it may be nearer to 0 than the true depth).
     * Never changes faster than the point moves, and is convex.
     */
    abstract public function distance(float $x, float $y, float $z): float;
}
