<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Problem;

use UpsweptBead\Core\Base\Geometry\Vector;

/** Where a tube begins; its id is the tube's too. */
final readonly class Port
{
    /** @param  Vector  $direction  out of the engine, of length 1 */
    public function __construct(
        public string $id,
        public Vector $at,
        public Vector $direction,
        public TubeStock $tube,
    ) {}
}
