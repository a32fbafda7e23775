<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A link by which a customer reads the record of a job. The link itself is told once, when it is made.
 *
 * @property int $id
 * @property int $job_id
 * @property int $user_id
 * @property string $fingerprint
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable $expires_at
 * @property CarbonImmutable|null $withdrawn_at
 * @property Job $job
 */
final class CustomerLink extends Model
{
    public $timestamps = false;

    protected $fillable = ['job_id', 'user_id', 'fingerprint', 'made_at', 'expires_at', 'withdrawn_at'];

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /**
     * Those that still open.
     *
     * @param  Builder<self>  $query
     */
    public function scopeOpen(Builder $query): void
    {
        $query->whereNull('withdrawn_at')->where('expires_at', '>', now());
    }

    public static function fingerprintOf(string $token): string
    {
        return hash('sha256', $token);
    }

    /** @return array{id: int, until: string} */
    public function line(): array
    {
        return ['id' => $this->id, 'until' => $this->expires_at->format('c')];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'made_at' => 'immutable_datetime',
            'expires_at' => 'immutable_datetime',
            'withdrawn_at' => 'immutable_datetime',
        ];
    }
}
