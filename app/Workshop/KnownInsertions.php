<?php

declare(strict_types=1);

namespace App\Workshop;

use Illuminate\Contracts\Cache\Repository;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Job\Set\SetWriter;
use UpsweptBead\Core\Shop\Practice\Rule;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Route\Insertion\Insertion;
use UpsweptBead\Core\Stage\Layout\Layout;

/**
 * The orders in which runs go in, kept by what they depend on: they take up to seconds to work out, far too long for
 * every edit, and stay true for as long as neither a route nor what stands round it has changed. The start gives the
 * cache another prefix for other rules.
 */
final readonly class KnownInsertions
{
    private const KEEP_DAYS = 90;

    public function __construct(private Repository $cache) {}

    /** What has been worked out before for just these routes and surroundings; null if nothing has. */
    public function find(Job $job, Shop $shop): ?Insertion
    {
        $known = $job->standing() > 1 ? $this->cache->get(self::key($job, $shop)) : null;

        return $known instanceof Insertion ? $known : null;
    }

    /** The same, worked out now if need be; null where there is nothing to put in order. */
    public function get(Job $job, Shop $shop): ?Insertion
    {
        $known = $this->find($job, $shop);
        if ($known !== null || $job->standing() < 2) {
            return $known;
        }
        $insertion = Layout::of($job, $shop)->insertion($job, $shop);
        if ($insertion !== null) {
            $this->cache->put(self::key($job, $shop), $insertion, now()->addDays(self::KEEP_DAYS));
        }

        return $insertion;
    }

    private static function key(Job $job, Shop $shop): string
    {
        $set = SetWriter::toArray($job->set);
        unset($set['designs'], $set['lengths'], $set['outlets']);

        return 'insertion-'.hash('sha256', json_encode([
            array_map(self::lies(...), $job->runs),
            $set,
            array_map(static fn (Rule $rule): float => $rule->value, $shop->rules->rules),
        ], JSON_THROW_ON_ERROR));
    }

    /** @return list<mixed> what of a run decides where it lies */
    private static function lies(RunSpec $run): array
    {
        [$start, $end] = [$run->start->frame(), $run->end->frame()];

        return [
            $run->letter,
            $run->tubeId,
            $start->at->toArray(),
            $start->forward->toArray(),
            $start->reference->toArray(),
            $end->at->toArray(),
            $end->forward->toArray(),
            $run->route === null ? null : JobWriter::route($run->route),
        ];
    }
}
