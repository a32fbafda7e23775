<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

/** A tube whose end stands on the middle line of another, at a station of it. */
final readonly class TubeBranch
{
    public function __construct(
        public string $id,
        public string $on,
        public float $stationMm,
        public string $tube,
        public bool $isStart,
    ) {}
}
