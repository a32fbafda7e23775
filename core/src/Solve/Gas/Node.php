<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

use UpsweptBead\Core\Base\Geometry\Vector;

/** Where ends of tubes meet, with a ball about it that belongs to the inside. Ends by tube, true for its start. */
final readonly class Node
{
    /** @param  list<array{string, bool}>  $ends */
    public function __construct(public string $id, public Vector $at, public array $ends, public float $radiusMm) {}
}
