<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Reason;

use UpsweptBead\Core\Base\Units\Quantity;

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

    /** A proposed value in the base unit of its quantity (mm, °, A, s, L, kg). */
    public static function of(string $key, string $label, Quantity $quantity, float $value, Reason $reason): self
    {
        return new self($key, $label, $quantity, $value, $value, $reason, null);
    }

    /** The same with a value of a person's own, in the same base unit. */
    public function overruledBy(Override $override, float $value): self
    {
        return new self($this->key, $this->label, $this->quantity, $value, $this->proposed, $this->reason, $override);
    }
}
