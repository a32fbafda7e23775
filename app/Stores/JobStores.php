<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\Job;
use App\Models\Shop;
use App\Models\StoreEntry;
use App\Models\StoreEntryKind;
use App\Models\StoreItem;
use App\Models\StorePromise;
use App\Models\User;
use App\Workshop\KnownCut;
use App\Workshop\Workshop;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Account\Stores\Need;
use UpsweptBead\Core\Account\Stores\ShoppingList;
use UpsweptBead\Core\Exchange\Screens\CuttingWriter;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Stage\Cut\Leftover;
use UpsweptBead\Core\Stage\Cut\OpenedStock;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Cut\StockNeed;
use UpsweptBead\Core\Stage\Made\MadeWork;
use UpsweptBead\Core\Stage\Made\PieceStanding;
use UpsweptBead\Core\Stage\Step\StepKind;

/** What a job has from the stores and still wants of them; keeps the stores in step with what was cut. */
final readonly class JobStores
{
    public function __construct(private StoresBook $book, private Workshop $workshop) {}

    /** @param  list<Need>  $needs */
    public function list(Job $job, array $needs): ShoppingList
    {
        $items = $locations = $promised = [];
        $own = $this->book->promisedTo($job);
        foreach ($this->items($needs) as $item) {
            $items[$item->key] = $item->asCore();
            $locations[$item->key] = $item->location;
            $promised[$item->key] = $own[$item->id] ?? 0.0;
        }

        $list = ShoppingList::of($needs, $items, $promised, $this->taken($job), $locations);

        return Gate::allows('seeMoney', Shop::class) ? $list : $list->withoutCosts();
    }

    /**
     * How many pieces of stock a released job still lacks.
     *
     * @param  list<StockNeed>  $stock
     */
    public function stockToBuy(Job $job, array $stock): int
    {
        return $this->list($job, array_map(
            static fn (StockNeed $one): Need => new Need($one->stockId, ItemKind::Tube, $one->stockId, (float) $one->needed),
            $stock,
        ))->stockToBuy();
    }

    /**
     * Promises the job what it still needs, as far as nobody else was promised it.
     *
     * @param  list<Need>  $needs
     */
    public function promise(Job $job, array $needs): void
    {
        $taken = $this->taken($job);
        $this->book->promise($job, array_map(static fn (Need $one): Need => new Need(
            $one->key,
            $one->kind,
            $one->name,
            max(0.0, $one->quantity - ($taken[$one->key] ?? 0.0)),
        ), $needs));
        $this->workshop->lookAgain();
    }

    /**
     * Brings the stores in step with what is logged as cut: stock of which a piece was cut is taken, what is left of it
     * goes on the shelf once all its pieces are cut, and what was taken without being cut goes back.
     *
     * @param  MadeWork  $made  a piece that is cut and only has to be worked over is out of its stock
     * @param  string|null  $strictly  a piece whose stock must be there; of others a wrong count is only left open
     *
     * @throws NoneLeft if others have the stock of that piece
     */
    public function follow(Job $job, KnownCut $cut, Progress $progress, User $by, MadeWork $made, ?string $strictly = null): void
    {
        DB::transaction(function () use ($job, $cut, $progress, $by, $made, $strictly): void {
            DB::select('select pg_advisory_xact_lock(3, ?)', [$job->id]);
            $done = $this->cutOf($cut, $progress, $made);
            $this->book->hold([...$this->items($cut->needs), ...array_values($this->book->issued($job))]);
            $this->giveBack($job, $cut, $done, $by);
            $issued = $this->book->issued($job);
            foreach ($cut->opened as $stock) {
                $item = $issued[$stock->key()] ?? null;
                if ($item === null && $done[$stock->key()] > 0) {
                    $isMeant = array_filter($stock->pieces, static fn (Piece $one): bool => $one->mark === $strictly) !== [];
                    $item = $this->take($job, $stock, $by, $isMeant);
                }
                if ($item !== null && $done[$stock->key()] === count($stock->pieces)) {
                    $this->shelve($job, $stock, $cut, $by);
                }
            }
        }, StoresBook::TRIES);
        $this->workshop->lookAgain();
    }

    /**
     * Books what a revision makes scrap: stock out of which only lost pieces were cut is used up, and stands for no
     * stock of the new plan.
     *
     * @param  array<int, KnownCut>  $earlier  by revision
     */
    public function writeOff(Job $job, MadeWork $made, array $earlier, Progress $progress, User $by): void
    {
        $lost = array_filter($made->pieces, static fn (PieceStanding $one): bool => $one->isLost);
        $marks = array_map(static fn (PieceStanding $one): string => $one->mark, $lost);
        $issued = $this->book->issued($job);
        foreach ($lost as $piece) {
            $stock = ($earlier[$piece->revision] ?? null)?->stockOf($piece->mark);
            if ($stock === null || ! isset($issued[$stock->key()])) {
                continue;
            }
            $isStanding = static fn (Piece $one): bool => ! in_array($one->mark, $marks, true)
                && $progress->isDone(StepKind::Prepare->key($one->mark));
            if (array_filter($stock->pieces, $isStanding) === []) {
                $this->book->writeOff($job, $stock->key(), $by, "$piece->mark does not fit any more");
                unset($issued[$stock->key()]);
            }
        }
    }

    /** @return array<string, string> where each piece of stock stands: 'taken', 'there' or 'missing' */
    public function standing(Job $job, KnownCut $cut): array
    {
        $standing = $free = [];
        $own = $this->book->promisedTo($job);
        foreach ($this->items($cut->needs) as $item) {
            $free[$item->key] = $item->asCore()->forJob($own[$item->id] ?? 0.0);
        }
        $issued = $this->book->issued($job);
        foreach ($cut->opened as $stock) {
            if (isset($issued[$stock->key()])) {
                $standing[$stock->key()] = 'taken';

                continue;
            }
            $left = $free[$stock->stockId] ?? 0.0;
            $standing[$stock->key()] = $left >= 1.0 ? 'there' : 'missing';
            $free[$stock->stockId] = $left - 1.0;
        }

        return $standing;
    }

    /** @return array<string, int> how many pieces of each piece of stock are cut */
    private function cutOf(KnownCut $cut, Progress $progress, MadeWork $made): array
    {
        $done = [];
        $kept = $made->kept();
        foreach ($cut->opened as $stock) {
            $isCut = static fn (Piece $one): bool => in_array($one->mark, $kept, true)
                || $progress->isDone(StepKind::Prepare->key($one->mark));
            $done[$stock->key()] = count(array_filter($stock->pieces, $isCut));
        }

        return $done;
    }

    /**
     * Puts back what is not taken after all: stock of which nothing is cut any more, what a revision no longer opens
     * but cuts out of another of the same kind, and stock with a shelved rest from which more is to be cut now.
     *
     * @param  array<string, int>  $done  pieces cut, by piece of stock
     */
    private function giveBack(Job $job, KnownCut $cut, array $done, User $by): void
    {
        $issued = $this->book->issued($job);
        $wanting = [];
        foreach ($cut->opened as $stock) {
            if (isset($issued[$stock->key()])) {
                $isDone = $done[$stock->key()] === count($stock->pieces);
                $isAgain = ! $isDone && ($done[$stock->key()] === 0 || $this->leftOf($job, $stock) !== []);
                if ($isAgain && $this->takeBackLeft($job, $stock, $by)) {
                    $this->book->putBack($job, $stock->key(), $by);
                }
                unset($issued[$stock->key()]);
            } elseif ($done[$stock->key()] > 0) {
                $wanting[$stock->stockId] = ($wanting[$stock->stockId] ?? 0) + 1;
            }
        }
        foreach ($issued as $key => $item) {
            if (($wanting[$item->key] ?? 0) > 0) {
                $this->book->putBack($job, $key, $by);
                $wanting[$item->key]--;
            }
        }
    }

    private function take(Job $job, OpenedStock $stock, User $by, bool $isMeant): ?StoreItem
    {
        $item = StoreItem::query()->where('key', $stock->stockId)->first();
        try {
            if ($item === null) {
                throw new NoneLeft("The stores have no $stock->stockId. Receive it there first.");
            }
            $this->book->issue($item, 1.0, $job, $by, Str::uuid()->toString(), '', $stock->key());
        } catch (NoneLeft $none) {
            return $isMeant ? throw $none : null;
        }

        return $item;
    }

    /** Puts what is left on the shelf, once. */
    private function shelve(Job $job, OpenedStock $stock, KnownCut $cut, User $by): void
    {
        if ($this->leftOf($job, $stock) !== []) {
            return;
        }
        $of = StoreItem::query()->where('key', $stock->stockId)->first();
        $rules = $this->workshop->shop()->rules;
        foreach (array_filter($stock->left, static fn (Leftover $one): bool => $one->isWorthKeeping($rules)) as $left) {
            $row = DB::selectOne("select nextval(pg_get_serial_sequence('store_items', 'id')) as id");
            $id = is_object($row) && isset($row->id) && is_int($row->id) ? $row->id : throw new \LogicException('no number');
            $stockId = $of->stock_id ?? $stock->stockId;
            $item = new StoreItem([
                'key' => "K-$id",
                'kind' => ItemKind::Offcut,
                'name' => sprintf(
                    '%s of %s',
                    CuttingWriter::shape($left->beforeMm, $left->angleDeg, $left->afterMm, $cut->units),
                    $stockId,
                ),
                'tube_id' => $stock->tubeId,
                'stock_id' => $stockId,
                'shape' => [
                    'before' => round($left->beforeMm, 3),
                    'angle' => round($left->angleDeg, 4),
                    'after' => round($left->afterMm, 3),
                    'clr' => $left->clrMm,
                ],
                'location' => 'Offcut rack',
            ]);
            $item->id = $id;
            $item->save();
            $this->book->returned($item, $job, $by, $stock->key());
        }
    }

    /** Takes back what was shelved of a piece of stock that was not cut after all. False where somebody has it. */
    private function takeBackLeft(Job $job, OpenedStock $stock, User $by): bool
    {
        $left = $this->leftOf($job, $stock);
        foreach ($left as $item) {
            if ($item->on_hand < 1.0 || StorePromise::query()->where('item_id', $item->id)->exists()) {
                return false;
            }
        }
        foreach ($left as $item) {
            $this->book->count($item, 0.0, $by, Str::uuid()->toString(), "Not cut: $stock->stockId is whole again");
        }

        return true;
    }

    /** @return list<StoreItem> what was shelved of a piece of stock since it was last taken */
    private function leftOf(Job $job, OpenedStock $stock): array
    {
        $items = [];
        $since = StoreEntry::query()
            ->where(['job_id' => $job->id, 'opened' => $stock->key(), 'kind' => StoreEntryKind::Issued])
            ->max('position');
        $entries = StoreEntry::query()->with('item')
            ->where(['job_id' => $job->id, 'opened' => $stock->key(), 'kind' => StoreEntryKind::Returned])
            ->where('position', '>', is_int($since) ? $since : 0)
            ->get();
        foreach ($entries as $entry) {
            $items[] = $entry->item;
        }

        return $items;
    }

    /**
     * @param  list<Need>  $needs
     * @return list<StoreItem>
     */
    private function items(array $needs): array
    {
        $keys = array_map(static fn (Need $one): string => $one->key, $needs);

        return $keys === [] ? [] : array_values(StoreItem::query()->whereIn('key', $keys)->get()->all());
    }

    /** @return array<string, float> what was taken for the job, not put back and not made scrap since, by key */
    private function taken(Job $job): array
    {
        $taken = [];
        $entries = StoreEntry::query()->with('item')
            ->where('job_id', $job->id)
            ->whereIn('kind', [StoreEntryKind::Issued, StoreEntryKind::PutBack, StoreEntryKind::WrittenOff])
            ->get();
        foreach ($entries as $entry) {
            $had = $entry->kind === StoreEntryKind::WrittenOff ? -1.0 : -$entry->quantity;
            $taken[$entry->item->key] = ($taken[$entry->item->key] ?? 0.0) + $had;
        }

        return $taken;
    }
}
