<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

/** What a purge has to keep: oxygen left (ppm), pressure behind the vents (Pa), how many vents; flows in L/min. */
final readonly class PurgeRules
{
    public function __construct(
        public float $targetPpm,
        public float $pressurePa,
        public int $mostVents,
        public float $fillFlow,
        public float $holdFlow,
        public float $torchFlow,
    ) {}
}
