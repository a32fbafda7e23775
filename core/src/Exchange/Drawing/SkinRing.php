<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use UpsweptBead\Core\Base\Geometry\Vector;

/** A section square through a tube: its centre, the way of the flow, the line on its side. */
final readonly class SkinRing
{
    public function __construct(public Vector $at, public Vector $forward, public Vector $side) {}
}
