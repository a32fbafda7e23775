<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Obstacle;

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Solve\Reach\Barrel;

/** Something that stands beside a seam, of whatever shape. */
interface InTheWay
{
    /** What it is, with the name of the neighbour that it is, or is part of. */
    public function solid(): KeepOut;

    /** Whether a barrel keeps a gap (mm) from it. */
    public function clears(Barrel $barrel, float $gapMm): bool;
}
