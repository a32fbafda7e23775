<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One change of how much there is of an item: received, counted, issued to a job, put back or left over. Never edited.
 *
 * @property string $id
 * @property int $position
 * @property int $item_id
 * @property StoreEntryKind $kind
 * @property float $quantity what it added, or took if it is negative
 * @property int|null $job_id
 * @property string|null $opened which piece of stock of the job's plan
 * @property string $note
 * @property CarbonImmutable $made_at
 * @property StoreItem $item
 * @property User $user
 * @property Job|null $job
 */
final class StoreEntry extends Model
{
    protected $table = 'store_entries';

    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    /** @return BelongsTo<StoreItem, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(StoreItem::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => StoreEntryKind::class, 'quantity' => 'float', 'made_at' => 'immutable_datetime'];
    }
}
