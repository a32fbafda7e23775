<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Account\Stores\ShoppingRow;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

/** Writes what a job takes out of the stores and what is to be bought; wire by the weight of the job's units. */
final readonly class ShoppingWriter
{
    private float $perKg;

    public function __construct(private UnitSystem $units)
    {
        $this->perKg = $units === UnitSystem::Inch ? 1 / Quantity::Mass->parse('1 lb', $units) : 1.0;
    }

    /** @return array{key: string, kind: string, name: string, unit: string, needed: float, fromStores: float, toBuy: float, cost: float|null, location: string} */
    public function row(ShoppingRow $row): array
    {
        $kind = $row->need->kind;

        return [
            'key' => $row->need->key,
            'kind' => $kind->value,
            'name' => $row->need->name,
            'unit' => $this->unit($kind, $row->need->quantity),
            'needed' => $this->much($kind, $row->need->quantity),
            'fromStores' => $this->much($kind, $row->fromStores),
            'toBuy' => $this->much($kind, $row->toBuy),
            'cost' => $row->cost === null ? null : round($row->cost, 2),
            'location' => $row->location,
        ];
    }

    /** How much of it, with its unit. */
    public function text(ItemKind $kind, float $quantity): string
    {
        return "{$this->much($kind, $quantity)} {$this->unit($kind, $quantity)}";
    }

    private function much(ItemKind $kind, float $quantity): float
    {
        return round($kind === ItemKind::Wire ? $quantity * $this->perKg : $quantity, 3);
    }

    private function unit(ItemKind $kind, float $quantity): string
    {
        return $kind === ItemKind::Wire && $this->units === UnitSystem::Inch ? 'lb' : $kind->unit($quantity);
    }
}
