<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Account\Stores\ItemKind;

/** One item as it was counted; null where nothing was said. */
final readonly class StoresRow
{
    public function __construct(
        public int $line,
        public string $key,
        public ItemKind $kind,
        public string $name,
        public float $count,
        public string $place,
        public ?float $price,
        public ?float $reorderAt,
        public ?float $reorderTo,
    ) {}
}
