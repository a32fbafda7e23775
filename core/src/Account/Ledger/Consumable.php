<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Ledger;

/** Something that is used up at the bench: so much of it, in its unit, at so much each by the shop's rules. */
final readonly class Consumable
{
    /** @param  string  $why  what it follows from, in words; '' where the quantity says it */
    public function __construct(
        public string $key,
        public string $name,
        public float $quantity,
        public string $unit,
        public float $each,
        public string $why = '',
    ) {}
}
