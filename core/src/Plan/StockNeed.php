<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan;

/** How many of one stock item a run takes, and how many of those lie on the shelf. */
final readonly class StockNeed
{
    public function __construct(public string $stockId, public int $needed, public int $onShelf) {}

    public function toBuy(): int
    {
        return max(0, $this->needed - $this->onShelf);
    }
}
