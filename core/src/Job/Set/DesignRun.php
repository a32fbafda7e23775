<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Set;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Run\RouteChoice;

/** One run of a kept design. */
final readonly class DesignRun
{
    /** @param  array{Length, Length, Length}  $at  where it ends */
    public function __construct(
        public string $letter,
        public array $at,
        public Vector $direction,
        public RouteChoice $route,
    ) {}
}
