<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A job of the shop; what it says is in its revisions, what was done is in its log.
 *
 * @property int $id
 * @property string $number
 * @property string $title
 * @property Collection<int, Revision> $revisions
 */
final class Job extends Model
{
    protected $table = 'jobs';

    protected $fillable = ['number', 'title'];

    /** @return HasMany<Revision, $this> newest first */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class)->orderByDesc('number');
    }

    public function draft(): ?Revision
    {
        return $this->revisions->first(static fn (Revision $revision): bool => $revision->isDraft());
    }

    public function released(): ?Revision
    {
        return $this->revisions->first(static fn (Revision $revision): bool => ! $revision->isDraft());
    }

    /** What is built: the latest release, while the next is being drafted; before any, the draft. */
    public function built(): Revision
    {
        return $this->released() ?? $this->current();
    }

    /** What is shown: the draft if there is one, the latest release otherwise. */
    public function current(): Revision
    {
        return $this->draft() ?? $this->released() ?? throw new \LogicException("Job $this->number has no revision.");
    }
}
