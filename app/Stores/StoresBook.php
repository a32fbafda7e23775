<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\Job;
use App\Models\StoreEntry;
use App\Models\StoreEntryKind;
use App\Models\StoreItem;
use App\Models\StorePromise;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use UpsweptBead\Core\Account\Stores\Need;

/**
 * The book of the stores: every change of a quantity is an entry, and nothing is ever taken twice. Whoever takes holds
 * the item's row until it is written down; the next one then sees what is left.
 */
final readonly class StoresBook
{
    /** How often a transaction is tried that the database ended because two waited for each other. */
    public const TRIES = 3;

    /** Weights are kept to the gram. */
    private const SAME = 0.0005;

    /**
     * Puts on the shelf what was bought.
     *
     * @return bool false if this entry was known already
     */
    public function receive(StoreItem $item, float $quantity, User $by, string $id, string $note): bool
    {
        return $this->once($id, function () use ($item, $quantity, $by, $id, $note): void {
            $this->enter($id, $item, StoreEntryKind::Received, $quantity, $by, $note);
        });
    }

    /**
     * Sets down what was counted: the difference becomes an entry, however small; the quantity itself is never edited.
     *
     * @return bool false if this entry was known already
     */
    public function count(StoreItem $item, float $counted, User $by, string $id, string $note): bool
    {
        return $this->once($id, function () use ($item, $counted, $by, $id, $note): void {
            $there = $this->lock([$item->id])[$item->id]->on_hand ?? 0.0;
            $this->enter($id, $item, StoreEntryKind::Counted, round($counted - $there, 3), $by, $note);
        });
    }

    /**
     * Takes something for a job, from what was promised to it first.
     *
     * @param  string|null  $opened  which piece of stock of the job's plan it is, where it is one
     * @return bool false if this entry was known already
     *
     * @throws NoneLeft if others have it
     */
    public function issue(StoreItem $item, float $quantity, Job $job, User $by, string $id, string $note = '', ?string $opened = null): bool
    {
        return $this->once($id, function () use ($item, $quantity, $job, $by, $id, $note, $opened): void {
            $row = $this->lock([$item->id])[$item->id] ?? $item;
            $promised = $this->promised($item->id);
            $others = array_sum(array_diff_key($promised, [$job->id => 0]));
            if ($row->on_hand - $others < $quantity - self::SAME) {
                throw new NoneLeft($this->whoHas($row, $promised, $job));
            }
            $this->enter($id, $item, StoreEntryKind::Issued, -$quantity, $by, $note, $job, $opened);
            $this->keepPromise($item->id, $job, max(0.0, ($promised[$job->id] ?? 0.0) - $quantity));
        });
    }

    /**
     * Undoes an issue that was none: the piece of stock was not cut after all.
     *
     * @return bool whether there was one
     */
    public function putBack(Job $job, string $opened, User $by): bool
    {
        return DB::transaction(function () use ($job, $opened, $by): bool {
            $item = $this->issued($job)[$opened] ?? null;
            if ($item === null) {
                return false;
            }
            $this->lock([$item->id]);
            $this->enter(Str::uuid()->toString(), $item, StoreEntryKind::PutBack, 1.0, $by, '', $job, $opened);
            $this->keepPromise($item->id, $job, ($this->promised($item->id)[$job->id] ?? 0.0) + 1.0);

            return true;
        });
    }

    /** Says of stock that was taken that it is scrap: it stays out of the stores, and stands for nothing in the job. */
    public function writeOff(Job $job, string $opened, User $by, string $why): void
    {
        $item = $this->issued($job)[$opened] ?? null;
        if ($item !== null) {
            $this->enter(Str::uuid()->toString(), $item, StoreEntryKind::WrittenOff, 0.0, $by, $why, $job, $opened);
        }
    }

    /** @return array<string, StoreItem> what each piece of stock of a job's plan was taken from, unless it was put back or written off since */
    public function issued(Job $job): array
    {
        $issued = [];
        $entries = StoreEntry::query()->with('item')
            ->where('job_id', $job->id)
            ->whereNotNull('opened')
            ->whereIn('kind', [StoreEntryKind::Issued, StoreEntryKind::PutBack, StoreEntryKind::WrittenOff])
            ->orderBy('position')
            ->get();
        foreach ($entries as $entry) {
            if ($entry->kind === StoreEntryKind::Issued) {
                $issued[(string) $entry->opened] = $entry->item;
            } else {
                unset($issued[(string) $entry->opened]);
            }
        }

        return $issued;
    }

    /** Puts on the shelf what was left of a piece of stock, as an item of its own with its shape. */
    public function returned(StoreItem $offcut, Job $job, User $by, string $opened): void
    {
        $this->enter(Str::uuid()->toString(), $offcut, StoreEntryKind::Returned, 1.0, $by, "Left of $offcut->stock_id", $job, $opened);
    }

    /**
     * Promises a job what it needs, as far as it is free; what it was promised before is given up first.
     *
     * @param  list<Need>  $needs  what is still to be taken for it
     */
    public function promise(Job $job, array $needs): void
    {
        DB::transaction(function () use ($job, $needs): void {
            $wanted = [];
            foreach ($needs as $need) {
                $wanted[$need->key] = $need->quantity;
            }
            $ids = StoreItem::query()
                ->whereIn('key', array_map(strval(...), array_keys($wanted)))
                ->orWhereIn('id', StorePromise::query()->select('item_id')->where('job_id', $job->id))
                ->get();
            $ids = array_values($ids->map(static fn (StoreItem $one): int => $one->id)->all());
            $this->lock($ids);
            StorePromise::query()->where('job_id', $job->id)->delete();
            foreach ($this->lock($ids) as $item) {
                $this->keepPromise($item->id, $job, min($item->on_hand - $item->promised, $wanted[$item->key] ?? 0.0));
            }
        });
    }

    /**
     * Each entry counts once, however often it is sent.
     *
     * @param  callable(): void  $write
     */
    private function once(string $id, callable $write): bool
    {
        return DB::transaction(static function () use ($id, $write): bool {
            // Two of the same id at once take turns.
            DB::select('select pg_advisory_xact_lock(2, hashtext(?))', [$id]);
            if (StoreEntry::query()->whereKey($id)->exists()) {
                return false;
            }
            $write();

            return true;
        });
    }

    private function enter(
        string $id,
        StoreItem $item,
        StoreEntryKind $kind,
        float $quantity,
        User $by,
        string $note,
        ?Job $job = null,
        ?string $opened = null,
    ): void {
        StoreEntry::query()->insert([
            'id' => $id,
            'item_id' => $item->id,
            'kind' => $kind->value,
            'quantity' => $quantity,
            'job_id' => $job?->id,
            'opened' => $opened,
            'note' => $note,
            'user_id' => $by->id,
        ]);
    }

    /**
     * Holds items for a transaction that goes on to change them one by one, in whatever order its plan has them.
     *
     * @param  list<StoreItem>  $items
     */
    public function hold(array $items): void
    {
        $this->lock(array_values(array_unique(array_map(static fn (StoreItem $one): int => $one->id, $items))));
    }

    /**
     * Holds items until the transaction ends, always in the same order, so that nobody waits for one another in a ring.
     *
     * @param  list<int>  $ids
     * @return array<int, StoreItem> as they are now
     */
    private function lock(array $ids): array
    {
        $items = [];
        foreach (StoreItem::query()->whereKey($ids)->orderBy('id')->lockForUpdate()->get() as $item) {
            $items[$item->id] = $item;
        }

        return $items;
    }

    /** @return array<int, float> by item */
    public function promisedTo(Job $job): array
    {
        $promised = [];
        foreach (StorePromise::query()->where('job_id', $job->id)->get() as $row) {
            $promised[$row->item_id] = $row->quantity;
        }

        return $promised;
    }

    /** @return array<int, float> by job */
    private function promised(int $itemId): array
    {
        $promised = [];
        foreach (StorePromise::query()->where('item_id', $itemId)->get() as $row) {
            $promised[$row->job_id] = $row->quantity;
        }

        return $promised;
    }

    private function keepPromise(int $itemId, Job $job, float $quantity): void
    {
        $key = ['item_id' => $itemId, 'job_id' => $job->id];
        if ($quantity > self::SAME) {
            StorePromise::query()->upsert([[...$key, 'quantity' => $quantity]], ['item_id', 'job_id']);
        } else {
            StorePromise::query()->where($key)->delete();
        }
    }

    /** @param  array<int, float>  $promised  by job */
    private function whoHas(StoreItem $item, array $promised, Job $job): string
    {
        $others = array_diff_key($promised, [$job->id => 0]);
        if ($item->on_hand > self::SAME && $others !== []) {
            $numbers = Job::query()->whereKey(array_keys($others))->orderBy('number')->pluck('number')->implode(', ');

            return sprintf('All there is of %s (%g) is promised to %s.', $item->name, $item->on_hand, $numbers);
        }
        $last = StoreEntry::query()
            ->with(['user', 'job'])
            ->where(['item_id' => $item->id, 'kind' => StoreEntryKind::Issued])
            ->orderByDesc('position')
            ->first();
        $text = "There is none of $item->name left by its count";

        return $last === null
            ? "$text. Count it again if there is."
            : "$text: {$last->user->name} took the last".($last->job === null ? '.' : " for {$last->job->number}.");
    }
}
