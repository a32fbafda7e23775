<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\StoreItem;
use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Stock\Offcut;
use UpsweptBead\Core\Stores\ItemKind;

/** What of the stores can be cut from: counts by stock id, and offcuts. */
final readonly class Shelf
{
    /**
     * @param  array<array-key, int>  $counts
     * @param  list<Offcut>  $offcuts
     */
    private function __construct(public array $counts, public array $offcuts) {}

    /**
     * What is free for one job: all that is there but what others were promised.
     *
     * @param  list<string>|null  $tubes  sizes of tube that are asked for; null for all
     * @param  string  $jobNumber  its number; '' for nobody in particular
     */
    public static function now(?array $tubes, string $jobNumber): self
    {
        $marks = $tubes === null ? '' : 'and i.tube_id = any (?::varchar[])';
        $rows = DB::select(
            "select i.id, i.key, i.kind, i.tube_id, i.stock_id, i.shape, i.on_hand - coalesce((
                    select sum(p.quantity) from store_promises p join jobs j on j.id = p.job_id
                    where p.item_id = i.id and j.number <> ?
                ), 0) as on_hand
                from store_items i where i.kind in ('tube', 'bend', 'elbow', 'offcut') and i.on_hand > 0 $marks order by i.id",
            [$jobNumber, ...$tubes === null ? [] : ['{'.implode(',', array_map(self::quoted(...), $tubes)).'}']],
        );
        $counts = $offcuts = [];
        foreach (StoreItem::hydrate($rows) as $item) {
            $free = (int) floor($item->on_hand + 1e-6);
            if ($free < 1) {
                continue;
            }
            if ($item->kind === ItemKind::Offcut) {
                $offcuts[] = self::offcut($item->key, (string) $item->stock_id, (string) $item->tube_id, $item->shape ?? []);
            } else {
                $counts[$item->key] = $free;
            }
        }

        return new self($counts, $offcuts);
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
