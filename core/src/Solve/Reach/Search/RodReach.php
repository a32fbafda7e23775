<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Search;

use UpsweptBead\Core\Solve\Reach\FillerRod;
use UpsweptBead\Core\Solve\Reach\Obstacle\Obstacle;
use UpsweptBead\Core\Solve\Reach\SeamPlace;

/** Finds whether the rod can be held at a place; the same for every cup, so that it is worked out once. */
final class RodReach
{
    /** @var array<string, bool> by place and sense */
    private array $known = [];

    private readonly RodPoses $poses;

    /** @param  list<Obstacle>  $obstacles */
    public function __construct(FillerRod $rod, private readonly array $obstacles)
    {
        $this->poses = new RodPoses($rod);
    }

    /** @param  string  $name  of the place, the same only where the place is */
    public function isFree(string $name, SeamPlace $place, int $sense): bool
    {
        return $this->known["$name $sense"] ??= $this->poses->find($place, $sense, $this->obstacles) !== null;
    }
}
