<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Growth;

/** What is tied at two ends that do not move apart: how much it wants to grow between them, and what takes that. */
final readonly class Loop
{
    /**
     * @param  list<string>  $runs  letters
     * @param  string  $taken  what gives way; '' where nothing does
     */
    public function __construct(
        public string $name,
        public array $runs,
        public float $growthMm,
        public string $taken,
        public string $advice,
    ) {}

    public function isRigid(): bool
    {
        return $this->taken === '';
    }
}
