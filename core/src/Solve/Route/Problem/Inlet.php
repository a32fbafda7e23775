<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Problem;

use UpsweptBead\Core\Base\Geometry\Vector;

/** Where a tube ends. */
final readonly class Inlet
{
    /** @param  Vector  $direction  of the flow into it, of length 1 */
    public function __construct(public string $id, public Vector $at, public Vector $direction) {}
}
