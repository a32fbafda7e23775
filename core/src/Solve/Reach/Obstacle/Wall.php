<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Obstacle;

use UpsweptBead\Core\Base\Geometry\Solid\HalfSpace;
use UpsweptBead\Core\Solve\Reach\Barrel;

/** Everything behind a plane: a head, a bench, a firewall. */
final readonly class Wall implements Obstacle
{
    public function __construct(private HalfSpace $solid) {}

    public function solid(): HalfSpace
    {
        return $this->solid;
    }

    public function deepest(Barrel $barrel): array
    {
        $normal = $this->solid->normal;

        return $barrel->lowest($normal->x, $normal->y, $normal->z);
    }

    public function clears(Barrel $barrel, float $gapMm): bool
    {
        return $this->solid->distance(...$this->deepest($barrel)) >= $gapMm;
    }
}
