<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Revision;
use Illuminate\Contracts\Cache\Repository;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Stage\Made\Outline;

/**
 * Plans kept by what they are made from: the document (of a release, which is frozen, its id), the shop, the units, and
 * whether the order in which runs go in was known. Opening a job does not plan it again. The start gives the cache
 * another prefix for other rules.
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

    /**
     * A draft's plan goes as far as it does with every edit, a release's is whole; of a release its brief form will do.
     */
    public function of(Revision $revision, ?UnitSystem $shownIn = null): KnownPlan
    {
        $job = $revision->isDraft() ? $this->workshop->read($revision) : null;
        $key = $this->key($revision, $job, $shownIn);
        if ($this->last === null || $this->lastKey !== $key) {
            [$this->lastKey, $this->last] = [$key, $this->find($key, $revision, $job, $shownIn)];
        }

        return $this->last;
    }

    /** What the saw and the stores want of the same plan. */
    public function cut(Revision $revision): KnownCut
    {
        $job = $revision->isDraft() ? $this->workshop->read($revision) : null;
        $key = $this->key($revision, $job, null);
        $known = $this->cache->get("$key-cut");

        return $known instanceof KnownCut ? $known : $this->make($key, $revision, $job, null)[1];
    }

    /** What work done by other revisions is held against. */
    public function outline(Revision $revision): Outline
    {
        $job = $revision->isDraft() ? $this->workshop->read($revision) : null;
        $key = $this->key($revision, $job, null);
        $known = $this->cache->get("$key-outline");

        return $known instanceof Outline ? $known : $this->make($key, $revision, $job, null)[2];
    }

    /** What its plan is kept by: another one as soon as anything of it may be another. */
    public function keyOf(Revision $revision): string
    {
        return $this->key($revision, $revision->isDraft() ? $this->workshop->read($revision) : null, null);
    }

    private function key(Revision $revision, ?CoreJob $job, ?UnitSystem $shownIn): string
    {
        // A release is frozen, with the shelf it was planned for: which one it is stands for what it says.
        $says = $job === null
            ? [$revision->id, $revision->released_at?->getTimestamp()]
            : [$revision->document, $this->workshop->isOrdered($job), $this->workshop->shelfFor($job)->stamp()];

        return 'plan-'.hash('sha256', json_encode(
            [$says, $this->workshop->shopStamp(), $shownIn?->value],
            JSON_THROW_ON_ERROR,
        ));
    }

    private function find(string $key, Revision $revision, ?CoreJob $job, ?UnitSystem $shownIn): KnownPlan
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

        return $this->make($key, $revision, $job, $shownIn)[0];
    }

    /** @return array{KnownPlan, KnownCut, Outline} */
    private function make(string $key, Revision $revision, ?CoreJob $job, ?UnitSystem $shownIn): array
    {
        if (! array_key_exists('document', $revision->getAttributes())) {
            $revision = $revision->fresh() ?? $revision;
        }
        $job ??= $this->workshop->read($revision);
        $isInFull = ! $revision->isDraft() || $this->workshop->isOrdered($job);
        $plan = $isInFull
            ? $this->workshop->planInFull($job, $shownIn, $revision->isDraft() ? null : $revision)
            : $this->workshop->plan($job, $shownIn);
        $made = [
            KnownPlan::of($plan),
            KnownCut::of($plan, $this->workshop->shop()),
            $this->workshop->outline($plan->sketch),
        ];
        $until = now()->addDays(self::KEEP_DAYS);
        $this->cache->put($key, $made[0], $until);
        $this->cache->put("$key-cut", $made[1], $until);
        $this->cache->put("$key-outline", $made[2], $until);

        return $made;
    }
}
