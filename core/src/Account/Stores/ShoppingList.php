<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Stores;

/** What a job needs, less what the stores can give it. */
final readonly class ShoppingList
{
    /** Less than this of a thing is none of it: sums of weights are never exact. */
    private const NONE = 1e-9;

    /** @param  list<ShoppingRow>  $rows  what is to be bought first */
    private function __construct(public array $rows) {}

    /**
     * @param  list<Need>  $needs
     * @param  array<array-key, StoreItem>  $items  by key
     * @param  array<array-key, float>  $promised  to this job, by key
     * @param  array<array-key, float>  $taken  for this job already, by key
     * @param  array<array-key, string>  $locations  by key
     */
    public static function of(
        array $needs,
        array $items,
        array $promised = [],
        array $taken = [],
        array $locations = [],
    ): self {
        $rows = [];
        foreach ($needs as $need) {
            $item = $items[$need->key] ?? null;
            $open = max(0.0, $need->quantity - ($taken[$need->key] ?? 0.0));
            $from = min($open, $item?->forJob($promised[$need->key] ?? 0.0) ?? 0.0);
            $toBuy = $open - $from;
            // Nobody buys a part of a stick, and wire comes by the kilogram.
            $toBuy = $toBuy > self::NONE ? ceil($toBuy - self::NONE) : 0.0;
            $cost = $item->cost ?? $need->usualCost;
            $rows[] = new ShoppingRow(
                $need,
                $from,
                $toBuy,
                $cost === null ? null : $cost * $toBuy,
                $locations[$need->key] ?? '',
            );
        }
        usort($rows, static fn (ShoppingRow $a, ShoppingRow $b): int => ($b->toBuy > 0.0) <=> ($a->toBuy > 0.0));

        return new self($rows);
    }

    /** The same for somebody who is not shown what things cost. */
    public function withoutCosts(): self
    {
        return new self(array_map(
            static fn (ShoppingRow $row): ShoppingRow => new ShoppingRow(
                $row->need, $row->fromStores, $row->toBuy, null, $row->location,
            ),
            $this->rows,
        ));
    }

    /** How many pieces of tube, bends and elbows are missing. */
    public function stockToBuy(): int
    {
        return (int) array_sum(array_map(
            static fn (ShoppingRow $row): float => $row->need->kind->isStock() ? $row->toBuy : 0.0,
            $this->rows,
        ));
    }

    /** Of what has a price. */
    public function cost(): float
    {
        return array_sum(array_map(static fn (ShoppingRow $row): float => $row->cost ?? 0.0, $this->rows));
    }

    public function isPriced(): bool
    {
        foreach ($this->rows as $row) {
            if ($row->toBuy > 0.0 && $row->cost === null) {
                return false;
            }
        }

        return true;
    }
}
