<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Shop\Practice\Shop;

/** How many of one stock item the whole job takes, and how many of those lie on the shelf. */
final readonly class StockNeed
{
    public function __construct(public string $stockId, public int $needed, public int $onShelf) {}

    /**
     * @param  list<Nesting>  $nestings
     * @return list<self> by stock id
     */
    public static function all(array $nestings, Shop $shop): array
    {
        $needed = [];
        foreach ($nestings as $nesting) {
            foreach ($nesting->needed() as $id => $count) {
                $needed[$id] = ($needed[$id] ?? 0) + $count;
            }
        }
        ksort($needed);

        return array_map(
            static fn (int|string $id, int $count): self => new self((string) $id, $count, $shop->has((string) $id)),
            array_keys($needed),
            $needed,
        );
    }

    public function toBuy(): int
    {
        return max(0, $this->needed - $this->onShelf);
    }
}
