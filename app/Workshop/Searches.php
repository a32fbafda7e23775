<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Jobs\SearchForRoutes;
use App\Models\RouteSearch;
use App\Models\SearchState;

/** Gives searches to the queue, and once more where the worker that had one has fallen silent. */
final readonly class Searches
{
    /** A worker says once a second that it is at it; this long without a word, and it is taken for dead. */
    public const SILENT_S = 5;

    private const MOST_ATTEMPTS = 3;

    public function begin(RouteSearch $search): void
    {
        SearchForRoutes::dispatch($search->id, $search->attempt);
    }

    /** Takes searches away from dead workers; the next free one goes on where they were. */
    public function takeOver(): void
    {
        $silent = RouteSearch::query()
            ->where('state', SearchState::Running)
            ->where('beat_at', '<', now()->subSeconds(self::SILENT_S))
            ->get();
        foreach ($silent as $search) {
            $isLast = $search->attempt >= self::MOST_ATTEMPTS;
            // Whoever looks at the same moment finds it changed already.
            $isOurs = RouteSearch::query()
                ->whereKey($search->id)
                ->where('state', SearchState::Running)
                ->where('attempt', $search->attempt)
                ->update([
                    'state' => $isLast ? SearchState::Failed : SearchState::Queued,
                    'attempt' => $search->attempt + 1,
                ]) === 1;
            if ($isOurs && ! $isLast) {
                $this->begin($search->refresh());
            }
        }
    }
}
