<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge;

use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * An open end of what is filled: what it is called at the bench, where it is, the way of the flow there, and its bore
 * (mm).
 */
final readonly class Mouth
{
    public function __construct(
        public string $id,
        public string $name,
        public string $tube,
        public bool $isStart,
        public Vector $at,
        public Vector $flow,
        public float $boreMm,
    ) {}
}
