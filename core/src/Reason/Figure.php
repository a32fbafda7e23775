<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Reason;

use UpsweptBead\Core\Units\Quantity;

/**
 * A number the program proposes, its reason, and what a person put in its place if they overruled it.
 *
 * `value` is what counts from here on; `proposed` is what the rule gave. Both are in the quantity's base unit.
 */
final readonly class Figure
{
    private function __construct(
        public string $key,
        public string $label,
        public Quantity $quantity,
        public float $value,
        public float $proposed,
        public Reason $reason,
        public ?Override $override,
    ) {}

    public static function of(string $key, string $label, Quantity $quantity, float $value, Reason $reason): self
    {
        return new self($key, $label, $quantity, $value, $value, $reason, null);
    }

    public function overruledBy(Override $override, float $value): self
    {
        return new self($this->key, $this->label, $this->quantity, $value, $this->proposed, $this->reason, $override);
    }
}
