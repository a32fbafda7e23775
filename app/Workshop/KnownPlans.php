<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Revision;
use App\Stores\Shelf;
use Illuminate\Contracts\Cache\Repository;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Units\UnitSystem;

/**
 * Plans kept by what they are made from: the document (of a release, which is frozen, its id), the shop, the units, and
 * whether the order in which runs go in was known. Opening a job does not plan it again. The start gives the cache another prefix for other rules.
 */
final class KnownPlans
{
    private const KEEP_DAYS = 30;

    /** The last plan that was asked for: one request asks for the same more than once. */
    private ?KnownPlan $last = null;

    private string $lastKey = '';

    public function __construct(
        private readonly Repository $cache,
        private readonly SharedMemo $memo,
        private readonly Workshop $workshop,
    ) {}

    /** A draft's plan goes as far as it does with every edit, a release's is whole; of a release its brief form will do. */
    public function of(Revision $revision, ?UnitSystem $shownIn = null): KnownPlan
    {
        $job = null;
        $isOrdered = ! $revision->isDraft();
        if (! $isOrdered) {
            $job = $this->workshop->read($revision);
            $isOrdered = $this->workshop->isOrdered($job);
        }
        // A release is frozen, with the shelf it was planned for: which one it is stands for what it says.
        $says = $revision->isDraft() ? $revision->document : [$revision->id, $revision->released_at?->getTimestamp()];
        $key = 'plan-'.hash('sha256', json_encode(
            [$says, $this->workshop->shopStamp(), $shownIn?->value, $isOrdered, $job === null ? '' : $this->workshop->shelfFor($job)->stamp()],
            JSON_THROW_ON_ERROR,
        ));
        if ($this->last === null || $this->lastKey !== $key) {
            [$this->lastKey, $this->last] = [$key, $this->find($key, $revision, $job, $isOrdered, $shownIn)];
        }

        return $this->last;
    }

    private function find(string $key, Revision $revision, ?CoreJob $job, bool $isOrdered, ?UnitSystem $shownIn): KnownPlan
    {
        $known = $this->memo->recall([$key])[$key] ?? null;
        if ($known instanceof KnownPlan) {
            return $known;
        }
        $known = $this->cache->get($key);
        if ($known instanceof KnownPlan) {
            $this->memo->keep([$key => $known]);

            return $known;
        }
        if (! array_key_exists('document', $revision->getAttributes())) {
            $revision = $revision->fresh() ?? $revision;
        }
        $job ??= $this->workshop->read($revision);
        $kept = $revision->isDraft() ? null : Shelf::kept($revision->shelf);
        $plan = $isOrdered ? $this->workshop->planInFull($job, $shownIn, $kept) : $this->workshop->plan($job, $shownIn);
        $made = KnownPlan::of($plan);
        $this->cache->put($key, $made, now()->addDays(self::KEEP_DAYS));

        return $made;
    }
}
