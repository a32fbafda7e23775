<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Stores;

/** What a job takes of one thing, in the unit of its kind. */
final readonly class Need
{
    /** @param  float|null  $usualCost  of one unit by the shop's rules, where it has one */
    public function __construct(
        public string $key,
        public ItemKind $kind,
        public string $name,
        public float $quantity,
        public ?float $usualCost = null,
    ) {}
}
