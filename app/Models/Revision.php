<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One state of a job's document: a draft that can be edited, or a release that is frozen.
 *
 * @property int $id
 * @property int $job_id
 * @property int $number
 * @property RevisionStatus $status
 * @property int $version
 * @property array<string, mixed> $document
 * @property array<string, mixed>|null $shelf what lay on it when this was released
 * @property array<string, mixed>|null $shop its rules and practices when this was released
 * @property CarbonImmutable|null $released_at
 */
final class Revision extends Model
{
    protected $table = 'revisions';

    protected $fillable = ['job_id', 'number', 'status', 'version', 'document', 'shelf', 'shop', 'released_by', 'released_at'];

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /**
     * Without what it says, which is most of it: for those who only want to know which revisions there are.
     *
     * @param  Builder<self>  $query
     */
    #[Scope]
    protected function brief(Builder $query): void
    {
        $query->select(['id', 'job_id', 'number', 'status', 'version', 'released_at']);
    }

    public function isDraft(): bool
    {
        return $this->status === RevisionStatus::Draft;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['status' => RevisionStatus::class, 'document' => 'array', 'shelf' => 'array', 'shop' => 'array', 'released_at' => 'immutable_datetime'];
    }
}
