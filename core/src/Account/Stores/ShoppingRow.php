<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Stores;

/** One line of what a job needs: out of the stores, and to buy. */
final readonly class ShoppingRow
{
    /** @param  float|null  $cost  of what is to be bought; null where no price is known */
    public function __construct(
        public Need $need,
        public float $fromStores,
        public float $toBuy,
        public ?float $cost,
        public string $location,
    ) {}
}
