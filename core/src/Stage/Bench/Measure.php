<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Base\Units\Quantity;

/**
 * A reading that a step asks for: what was really used or found, with what was planned (base unit) if anything was.
 * Above `most`, or farther from the plan than `within`, nobody goes on without a reason, nor without the reading where it
 * is asked for. A `rule` is one of the shop that what was planned is proportional to, so that the reading says what it
 * should have been.
 */
final readonly class Measure
{
    public function __construct(
        public string $name,
        public string $label,
        public Quantity $quantity,
        public ?float $planned,
        public ?float $most = null,
        public bool $isAsked = false,
        public ?string $rule = null,
        public ?float $within = null,
    ) {}

    /** @return ?array{float, float} the least and the most it may be without a reason; null where there is no such range */
    public function range(): ?array
    {
        return $this->planned === null || $this->within === null
            ? null
            : [$this->planned - $this->within, $this->planned + $this->within];
    }
}
