<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\StoreEntry;
use App\Models\StoreEntryKind;
use App\Models\StoreItem;
use App\Models\User;
use App\Workshop\Workshop;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Exchange\Files\StoresRow;

/** Takes a count of many items at once; what the stores did not know yet is added. */
final readonly class Stocktaking
{
    private const AT_ONCE = 500;

    /** Weights are kept to the gram. */
    private const SAME = 0.0005;

    public function __construct(private Workshop $workshop) {}

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

    /**
     * All of it in a few statements, so that a count of thousands takes a second or two and no lock for every line.
     *
     * @param  list<StoresRow>  $rows
     */
    public function take(array $rows, User $by, string $note): void
    {
        // In one order, so that two counts at once wait for each other only once.
        usort($rows, static fn (StoresRow $a, StoresRow $b): int => $a->key <=> $b->key);
        DB::transaction(function () use ($rows, $by, $note): void {
            foreach (array_chunk($rows, self::AT_ONCE) as $some) {
                $this->add($some);
                $this->count($some, $by, $note);
            }
        });
    }

    /** @param  list<StoresRow>  $rows */
    private function add(array $rows): void
    {
        $catalogue = $this->workshop->shop()->catalogue;
        $new = array_filter($rows, static fn (StoresRow $row): bool => $row->name !== '');
        StoreItem::query()->insertOrIgnore(array_values(array_map(static fn (StoresRow $row): array => [
            'key' => $row->key,
            'kind' => $row->kind->value,
            'name' => $row->name,
            'tube_id' => isset($catalogue->tubes[$row->key]) ? $row->key : $catalogue->bend($row->key)?->tubeId,
            'stock_id' => $row->kind->isStock() ? $row->key : null,
        ], $new)));
    }

    /**
     * What was said of each item, and the difference of its count as an entry.
     *
     * @param  list<StoresRow>  $rows
     */
    private function count(array $rows, User $by, string $note): void
    {
        $items = StoreItem::query()
            ->whereIn('key', array_map(static fn (StoresRow $row): string => $row->key, $rows))
            ->orderBy('id')->lockForUpdate()->get()->keyBy('key');
        $values = $entries = [];
        foreach ($rows as $row) {
            $item = $items[$row->key] ?? throw new \LogicException("Item $row->key is gone.");
            array_push($values, $item->id, $row->place, $row->price, $row->reorderAt, $row->reorderTo);
            $off = round($row->count - $item->on_hand, 3);
            if (abs($off) > self::SAME) {
                $entries[] = [
                    'id' => Str::uuid()->toString(),
                    'item_id' => $item->id,
                    'kind' => StoreEntryKind::Counted->value,
                    'quantity' => $off,
                    'job_id' => null,
                    'opened' => null,
                    'note' => $note,
                    'user_id' => $by->id,
                ];
            }
        }
        $marks = implode(', ', array_fill(0, count($rows), '(?::bigint, ?::text, ?::numeric, ?::numeric, ?::numeric)'));
        DB::update(
            "update store_items set
                location = case when said.place = '' then location else said.place end, cost = coalesce(said.price, cost),
                reorder_at = coalesce(said.at, reorder_at), reorder_to = coalesce(said.up, reorder_to)
                from (values $marks) said (id, place, price, at, up) where store_items.id = said.id",
            $values,
        );
        StoreEntry::query()->insert($entries);
    }
}
