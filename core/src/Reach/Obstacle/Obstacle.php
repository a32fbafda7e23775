<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Reach\Obstacle;

use UpsweptBead\Core\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Reach\Barrel;

/** Something convex that stands beside a seam: a straight length of tube, a block, a wall. */
interface Obstacle
{
    /** What it is, with the name of the neighbour that it is, or is part of; its distance is convex. */
    public function solid(): KeepOut;

    /**
     * A point of a barrel that lies deep in it if the two meet; not always the deepest.
     *
     * @return array{float, float, float}
     */
    public function deepest(Barrel $barrel): array;

    /** Whether a barrel keeps a gap (mm) from it. */
    public function clears(Barrel $barrel, float $gapMm): bool;
}
