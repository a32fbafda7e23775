<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Units\Length;

/** One bend of a chosen route as it stands in the job: lengths as the person wrote them, angles in degrees. */
final readonly class RouteRow
{
    public function __construct(public Length $straight, public float $rotationDeg, public float $angleDeg, public Length $clr) {}
}
