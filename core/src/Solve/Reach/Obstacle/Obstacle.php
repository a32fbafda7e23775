<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Obstacle;

use UpsweptBead\Core\Solve\Reach\Barrel;

/**
 * Something convex that stands beside a seam: a straight length of tube, a block, a wall. Its solid's distance is
 * convex.
 */
interface Obstacle extends InTheWay
{
    /**
     * A point of a barrel that lies deep in it if the two meet; not always the deepest.
     *
     * @return array{float, float, float}
     */
    public function deepest(Barrel $barrel): array;
}
