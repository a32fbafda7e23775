<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop;

use UpsweptBead\Core\Reason\Input;
use UpsweptBead\Core\Reason\Source;
use UpsweptBead\Core\Units\Quantity;

/** One editable rule of the shop: its value in the quantity's base unit and where that comes from. */
final readonly class Rule
{
    public function __construct(
        public string $key,
        public string $label,
        public Quantity $quantity,
        public float $value,
        public Source $source,
    ) {}

    public function asInput(): Input
    {
        return Input::of($this->label, $this->quantity, $this->value);
    }
}
