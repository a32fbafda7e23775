<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

/**
 * One editable rule of the shop: its value in the quantity's base unit, between what bounds, and where it comes from.
 */
final readonly class Rule
{
    /**
     * @param  float  $least  that it may be set to
     * @param  float  $most  likewise
     */
    public function __construct(
        public string $key,
        public string $label,
        public Quantity $quantity,
        public float $value,
        public float $least,
        public float $most,
        public Source $source,
    ) {}

    /** The same with another value, as somebody wrote it. */
    public function set(float $value, Source $source): self
    {
        return new self($this->key, $this->label, $this->quantity, $value, $this->least, $this->most, $source);
    }

    /** Whether a value lies between its bounds, but for rounding. */
    public function takes(float $value): bool
    {
        $off = 1e-9 * max(1.0, abs($this->least), abs($this->most));

        return $value >= $this->least - $off && $value <= $this->most + $off;
    }

    /** Whether it is a price, a rate or a margin, which not everybody is shown. */
    public function isMoney(): bool
    {
        return $this->quantity === Quantity::Money || in_array($this->key, ['cost.margin', 'cost.tax'], true);
    }

    /** Between what bounds it may lie, in words. */
    public function range(UnitSystem $units): string
    {
        return "{$this->quantity->show($this->least, $units)} to {$this->quantity->show($this->most, $units)}";
    }

    public function asInput(): Input
    {
        return Input::of($this->label, $this->quantity, $this->value);
    }
}
