<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\StoreItem;
use App\Models\User;
use App\Workshop\Workshop;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use UpsweptBead\Core\Exchange\StoresRow;
use UpsweptBead\Core\Stores\ItemKind;

/** Takes a count of many items at once; what the stores did not know yet is added. */
final readonly class Stocktaking
{
    public function __construct(private StoresBook $book, private Workshop $workshop) {}

    /**
     * @param  list<string>|null  $keys  null for all
     * @return array<string, ItemKind>
     */
    public function known(?array $keys): array
    {
        $known = [];
        $query = StoreItem::query()->select(['key', 'kind'])->where('kind', '<>', ItemKind::Offcut);
        foreach ($keys === null ? $query->get() : $query->whereIn('key', $keys)->get() as $item) {
            $known[$item->key] = $item->kind;
        }

        return $known;
    }

    /** @param  list<StoresRow>  $rows */
    public function take(array $rows, User $by, string $note): void
    {
        $catalogue = $this->workshop->shop()->catalogue;
        DB::transaction(function () use ($rows, $by, $note, $catalogue): void {
            // In one order, so that two counts at once wait for each other only once.
            usort($rows, static fn (StoresRow $a, StoresRow $b): int => $a->key <=> $b->key);
            foreach ($rows as $row) {
                StoreItem::query()->insertOrIgnore($row->name === '' ? [] : [[
                    'key' => $row->key,
                    'kind' => $row->kind->value,
                    'name' => $row->name,
                    'tube_id' => isset($catalogue->tubes[$row->key]) ? $row->key : $catalogue->bend($row->key)?->tubeId,
                    'stock_id' => $row->kind->isStock() ? $row->key : null,
                ]]);
                $item = StoreItem::query()->where('key', $row->key)->lockForUpdate()->firstOrFail();
                $item->update(array_filter([
                    'location' => $row->place === '' ? null : $row->place,
                    'cost' => $row->price,
                    'reorder_at' => $row->reorderAt,
                    'reorder_to' => $row->reorderTo,
                ], static fn (string|float|null $one): bool => $one !== null));
                if (abs($item->on_hand - $row->count) > 0.0005) {
                    $this->book->count($item, $row->count, $by, Str::uuid()->toString(), $note);
                }
            }
        });
    }
}
