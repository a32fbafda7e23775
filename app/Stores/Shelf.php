<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\Job;
use App\Models\StorePromise;
use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Shop\Stock\Offcut;

/** What of the stores can be cut from: counts by stock id, and offcuts. */
final readonly class Shelf
{
    /**
     * @param  array<array-key, int>  $counts
     * @param  list<Offcut>  $offcuts
     */
    private function __construct(public array $counts, public array $offcuts) {}

    /**
     * What is free for one job: all that is there but what others were promised, and what was taken for it already. Of
     * that its earlier pieces were cut, so a revision finds it whole, without the rests that came of it.
     *
     * @param  list<string>|null  $tubes  sizes of tube that are asked for; null for all
     * @param  string  $jobNumber  its number; '' for nobody in particular
     */
    public static function now(?array $tubes, string $jobNumber): self
    {
        // Asked with every look at a draft: two simple questions take the database less time than one that joins.
        [$where, $values] = $tubes === null
            ? ['tube_id is not null', []]
            : ['tube_id = any (?::varchar[])', ['{'.implode(',', array_map(self::quoted(...), $tubes)).'}']];
        $taken = $jobNumber === '' ? [] : self::takenFor($jobNumber);
        $rows = DB::select(
            "select id, key, kind, tube_id, stock_id, shape, on_hand, promised from store_items where $where and (on_hand > 0 or id = any (?::bigint[])) order by id",
            [...$values, '{'.implode(',', array_keys($taken)).'}'],
        );
        /** @var list<object{id: int, key: string, kind: string, tube_id: string, stock_id: string, shape: string|null, on_hand: string, promised: string}> $rows */
        $isPromised = array_filter($rows, static fn (object $row): bool => (float) $row->promised > 0.0) !== [];
        $own = $isPromised && $jobNumber !== '' ? self::promisedTo($jobNumber) : [];
        $counts = $offcuts = [];
        foreach ($rows as $row) {
            $free = (int) floor((float) $row->on_hand - (float) $row->promised + ($own[$row->id] ?? 0.0) + ($taken[$row->id] ?? 0.0) + 1e-6);
            if ($free < 1) {
                continue;
            }
            if ($row->kind === ItemKind::Offcut->value) {
                $offcuts[] = self::offcut($row->key, $row->stock_id, $row->tube_id, (array) json_decode($row->shape ?? '', true));
            } else {
                $counts[$row->key] = $free;
            }
        }

        return new self($counts, $offcuts);
    }

    /** @return array<int, float> what was taken for a job, less what came back as rests, by item */
    private static function takenFor(string $jobNumber): array
    {
        $taken = [];
        /** @var list<object{item_id: int, taken: string}> $rows */
        $rows = DB::select(
            'select item_id, -sum(quantity) as taken from store_entries where job_id = (select id from jobs where number = ?) and opened is not null group by item_id',
            [$jobNumber],
        );
        foreach ($rows as $row) {
            $taken[$row->item_id] = (float) $row->taken;
        }

        return $taken;
    }

    /** @return array<int, float> by item */
    private static function promisedTo(string $jobNumber): array
    {
        $own = [];
        $promises = StorePromise::query()
            ->whereIn('job_id', Job::query()->select('id')->where('number', $jobNumber))
            ->get();
        foreach ($promises as $promise) {
            $own[$promise->item_id] = $promise->quantity;
        }

        return $own;
    }

    /** As a release keeps it. */
    public static function kept(mixed $kept): self
    {
        $kept = is_array($kept) ? $kept : [];
        $offcuts = [];
        foreach ((array) ($kept['offcuts'] ?? []) as $one) {
            if (is_array($one) && is_string($one['id'] ?? null) && is_string($one['stock'] ?? null) && is_string($one['tube'] ?? null)) {
                $offcuts[] = self::offcut($one['id'], $one['stock'], $one['tube'], $one);
            }
        }

        return new self(array_filter((array) ($kept['counts'] ?? []), is_int(...)), $offcuts);
    }

    /** @return array{counts: object, offcuts: list<array<string, float|string>>} */
    public function toArray(): array
    {
        return [
            'counts' => (object) $this->counts,
            'offcuts' => array_map(static fn (Offcut $one): array => [
                'id' => $one->id,
                'stock' => $one->stockId,
                'tube' => $one->tubeId,
                'clr' => $one->clrMm,
                'before' => $one->beforeMm,
                'angle' => $one->angleDeg,
                'after' => $one->afterMm,
            ], $this->offcuts),
        ];
    }

    /** Stands for what is on it. */
    public function stamp(): string
    {
        return md5(json_encode($this->toArray(), JSON_THROW_ON_ERROR));
    }

    /** @param  array<array-key, mixed>  $shape */
    private static function offcut(string $id, string $stockId, string $tubeId, array $shape): Offcut
    {
        $mm = static fn (string $name): float => is_numeric($shape[$name] ?? null) ? (float) $shape[$name] : 0.0;

        return new Offcut($id, $stockId, $tubeId, $mm('clr'), $mm('before'), $mm('angle'), $mm('after'));
    }

    private static function quoted(string $text): string
    {
        return '"'.addcslashes($text, '"\\').'"';
    }
}
