<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

/** A joint round a tube, open by its gap (mm²) until it is taped or welded. */
final readonly class GasJoint
{
    public function __construct(
        public string $id,
        public string $tube,
        public float $stationMm,
        public float $gapMm2,
        public bool $mayTape,
        public bool $isWelded,
    ) {}

    /** One that can neither be taped nor is welded leaks, and lets air out. */
    public function isOpen(): bool
    {
        return ! $this->isWelded && ! $this->mayTape;
    }
}
