<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\Shop;
use App\Models\StoreEntry;
use App\Models\StoreItem;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use UpsweptBead\Core\Account\Stores\ItemKind;

/** The stores as they are shown: a page of items, what is to be ordered, what happened to one. */
final readonly class StoresList
{
    private const PAGE = 100;

    private const ENTRIES = 50;

    /** @return array{items: list<array<string, mixed>>, kinds: list<array{kind: string, label: string, items: int}>, page: int, pages: int} */
    public function page(string $find, ?ItemKind $kind, int $page): array
    {
        $query = self::matching($find, $kind);
        $pages = max(1, (int) ceil($query->count() / self::PAGE));
        $page = min($page, $pages);
        $items = $query->orderBy('kind')->orderBy('name')->orderBy('id')->forPage($page, self::PAGE)->get();

        return [
            'items' => array_values($items->map(self::row(...))->all()),
            'kinds' => self::kinds($find),
            'page' => $page,
            'pages' => $pages,
        ];
    }

    /** @return list<list<string|float|null>> the same as an order: item, name, how many, unit, price of one */
    public function order(): array
    {
        $order = [];
        foreach ($this->low() as $item) {
            $core = $item->asCore();
            if ($core->toReorder() > 0.0) {
                $much = $core->toReorder();
                $order[] = [$item->key, $item->name, $much, $item->kind->unit($much), Gate::allows('seeMoney', Shop::class) ? $item->cost : null];
            }
        }

        return $order;
    }

    /** @return list<array<string, mixed>> what has run low, by kind */
    public function reorder(): array
    {
        return array_values(array_filter(
            array_map(self::row(...), $this->low()),
            static fn (array $row): bool => $row['toReorder'] > 0.0,
        ));
    }

    /** @return list<StoreItem> */
    private function low(): array
    {
        return array_values(self::matching('', null)
            ->whereNotNull('reorder_at')
            ->whereRaw('on_hand - promised <= reorder_at')
            ->orderBy('kind')->orderBy('name')->limit(500)
            ->get()->all());
    }

    /** @return array<string, mixed> */
    public function one(int $id): array
    {
        return self::row(StoreItem::query()->findOrFail($id));
    }

    /** @return list<array<string, mixed>> the newest first */
    public function entries(StoreItem $item): array
    {
        $entries = StoreEntry::query()->with(['user', 'job'])
            ->where('item_id', $item->id)
            ->orderByDesc('position')
            ->limit(self::ENTRIES)
            ->get();

        return array_values($entries->map(static fn (StoreEntry $one): array => [
            'id' => $one->id,
            'kind' => $one->kind->value,
            'quantity' => $one->quantity,
            'job' => $one->job?->number,
            'note' => $one->note,
            'by' => $one->user->name,
            'at' => $one->made_at->format('c'),
        ])->all());
    }

    /** @return Builder<StoreItem> */
    private static function matching(string $find, ?ItemKind $kind): Builder
    {
        // Offcuts that are gone are not shown.
        $query = StoreItem::query()->whereRaw("not (kind = 'offcut' and on_hand <= 0)");
        if ($kind !== null) {
            $query->where('kind', $kind);
        }
        foreach (array_slice((array) preg_split('/\s+/u', mb_strtolower(trim($find)), -1, PREG_SPLIT_NO_EMPTY), 0, 6) as $word) {
            $query->whereRaw("lower(key || ' ' || name || ' ' || location) like ?", ['%'.addcslashes((string) $word, '\\%_').'%']);
        }

        return $query;
    }

    /** @return list<array{kind: string, label: string, items: int}> */
    private static function kinds(string $find): array
    {
        $counts = DB::query()->fromSub(self::matching($find, null), 'i')->selectRaw('kind, count(*) as items')->groupBy('kind')->pluck('items', 'kind');
        $kinds = [];
        foreach (ItemKind::cases() as $kind) {
            $items = $counts[$kind->value] ?? 0;
            if (is_int($items) && $items > 0) {
                $kinds[] = ['kind' => $kind->value, 'label' => $kind->label(), 'items' => $items];
            }
        }

        return $kinds;
    }

    /** @return array<string, mixed> */
    private static function row(StoreItem $item): array
    {
        $core = $item->asCore();

        return [
            'id' => $item->id,
            'key' => $item->key,
            'kind' => $item->kind->value,
            'name' => $item->name,
            'unit' => $item->kind->unit($core->free()),
            'onHand' => $core->onHand,
            'promised' => $core->promised,
            'free' => $core->free(),
            'cost' => Gate::allows('seeMoney', Shop::class) ? $item->cost : null,
            'location' => $item->location,
            'reorderAt' => $item->reorder_at,
            'reorderTo' => $item->reorder_to,
            'toReorder' => $core->toReorder(),
        ];
    }
}
