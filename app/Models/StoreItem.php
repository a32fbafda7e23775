<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Account\Stores\StoreItem as CoreItem;

/**
 * One line of the stores. How much there is of it follows from its entries.
 *
 * @property int $id
 * @property string $key
 * @property ItemKind $kind
 * @property string $name
 * @property string|null $tube_id
 * @property string|null $stock_id
 * @property array{before: float, angle: float, after: float, clr: float}|null $shape
 * @property float $on_hand
 * @property float $promised to jobs, all together
 * @property float|null $cost
 * @property string $location
 * @property float|null $reorder_at
 * @property float|null $reorder_to
 */
final class StoreItem extends Model
{
    protected $table = 'store_items';

    protected $fillable = ['key', 'kind', 'name', 'tube_id', 'stock_id', 'shape', 'cost', 'location', 'reorder_at', 'reorder_to'];

    /** @return array<string, float> what one of each really costs, where somebody said so */
    public static function costs(): array
    {
        $costs = [];
        foreach (self::query()->whereNotNull('cost')->get(['key', 'cost']) as $item) {
            $costs[$item->key] = (float) $item->cost;
        }

        return $costs;
    }

    public function asCore(): CoreItem
    {
        return new CoreItem(
            $this->key,
            $this->kind,
            $this->name,
            $this->on_hand,
            $this->promised,
            $this->cost,
            $this->reorder_at,
            $this->reorder_to,
        );
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => ItemKind::class,
            'shape' => 'array',
            'on_hand' => 'float',
            'promised' => 'float',
            'cost' => 'float',
            'reorder_at' => 'float',
            'reorder_to' => 'float',
        ];
    }
}
