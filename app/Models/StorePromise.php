<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * How much of an item a released job was promised.
 *
 * @property int $item_id
 * @property int $job_id
 * @property float $quantity
 */
final class StorePromise extends Model
{
    protected $table = 'store_promises';

    public $incrementing = false;

    public $timestamps = false;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['quantity' => 'float'];
    }
}
