<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

use UpsweptBead\Core\Units\Quantity;

/** A reading that a step asks for: what was really used or found, with what was planned (base unit) if anything was. */
final readonly class Measure
{
    public function __construct(
        public string $name,
        public string $label,
        public Quantity $quantity,
        public ?float $planned,
    ) {}
}
