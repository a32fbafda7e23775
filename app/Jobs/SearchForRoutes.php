<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\RouteSearch;
use App\Models\SearchState;
use App\Workshop\Workshop;
use Closure;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Solve\Route\Search\FoundDesign;
use UpsweptBead\Core\Solve\Route\Search\SetAnswer;
use UpsweptBead\Core\Solve\Route\Search\SetRefusal;
use UpsweptBead\Core\Solve\Route\Search\SetSolver;
use UpsweptBead\Core\Solve\Route\Search\SetStatus;
use UpsweptBead\Core\Stage\Layout\SetProblem;

/**
 * Looks for whole designs, one from each of a few seeds. Each better answer is stored as it comes, and between answers
 * it looks whether it was asked to stop. Any number of workers may run; the queue gives each search to one of them.
 */
final class SearchForRoutes implements ShouldQueue
{
    use Queueable;

    public const DESIGNS = 3;

    /** As many as are shown side by side. */
    private const KEPT = 4;

    /** Seconds between two writes, or two looks for a wish to stop. */
    private const BEAT = 0.25;

    /** Seconds between two signs of life. */
    private const SIGN = 1.0;

    public int $tries = 1;

    public int $timeout = 170;

    private float $lastBeat = 0.0;

    private float $lastSign = 0.0;

    public function __construct(private readonly int $searchId, private readonly int $attempt) {}

    public function handle(Workshop $workshop): void
    {
        $search = RouteSearch::query()->find($this->searchId);
        if ($search === null || $search->state !== SearchState::Queued || $search->attempt !== $this->attempt) {
            return;
        }
        if ($search->stop_asked) {
            $search->update(['state' => SearchState::Stopped]);

            return;
        }
        $search->update(['state' => SearchState::Running, 'beat_at' => now()]);
        $job =
            JobReader::fromDecoded($search->document)->job ??
            throw new \LogicException("Search $search->id holds a document that cannot be read.");
        $this->run($search, SetProblem::of($job, $workshop->shop()));
    }

    public function failed(?\Throwable $error): void
    {
        RouteSearch::query()
            ->whereKey($this->searchId)
            // Another worker may have gone on with it.
            ->where('attempt', $this->attempt)
            ->whereIn('state', [SearchState::Queued, SearchState::Running])
            ->update(['state' => SearchState::Failed]);
    }

    private function run(RouteSearch $search, RouteProblem $problem): void
    {
        $now = static fn (): float => hrtime(true) / 1e9;
        // What an earlier search found stands beside what this one finds.
        $designs = [];
        foreach ($search->designs as $design) {
            $designs[$design->seed] = $design;
        }
        $last = null;
        for (
            $seed = max($search->first_seed, $search->at_seed);
            $seed < $search->first_seed + self::DESIGNS && ! $search->stop_asked;
            $seed++
        ) {
            RouteSearch::query()->whereKey($search->id)->update(['at_seed' => $seed]);
            $take = function (SetAnswer $answer) use (&$designs, $seed, $search): bool {
                $designs[$seed] = FoundDesign::of($answer, $seed);

                return $this->store($search, $designs);
            };
            $last = (new SetSolver($problem, $seed, $now, $take, $this->watch($search, $now)))->solve(
                $search->seconds / self::DESIGNS,
            );
            if ($last->status === SetStatus::Infeasible) {
                break;
            }
        }
        $search->update([
            'state' => $search->stop_asked ? SearchState::Stopped : SearchState::Done,
            'designs' => self::ranked($designs),
            'refusal' => $designs === [] && $last !== null ? SetRefusal::of($last) : null,
        ]);
    }

    /**
     * Looks now and then whether the search was asked to stop.
     *
     * @param  Closure(): float  $now
     * @return Closure(): bool
     */
    private function watch(RouteSearch $search, Closure $now): Closure
    {
        return function () use ($search, $now): bool {
            $time = $now();
            if ($time - $this->lastBeat >= self::BEAT) {
                $this->lastBeat = $time;
                $search->stop_asked = $this->beat($search, $time);
            }

            return $search->stop_asked;
        };
    }

    /** Says once a second that the search is still alive; gives whether it was asked to stop. */
    private function beat(RouteSearch $search, float $time): bool
    {
        $asked = RouteSearch::query()->whereKey($search->id);
        if ($time - $this->lastSign >= self::SIGN) {
            $this->lastSign = $time;
            $asked->update(['beat_at' => now()]);
        }

        // Taken over by another worker, which then has the say.
        $now = $asked->first(['stop_asked', 'attempt']);

        return $now === null || $now->stop_asked || $now->attempt !== $this->attempt;
    }

    /** @param  array<int, FoundDesign>  $designs */
    private function store(RouteSearch $search, array $designs): bool
    {
        // Without saving the model: whether it was asked to stop is written by somebody else.
        RouteSearch::query()
            ->whereKey($search->id)
            ->update(['designs' => (new RouteSearch(['designs' => self::ranked($designs)]))->getAttributes()['designs']]);

        return ! $search->stop_asked;
    }

    /**
     * @param  array<int, FoundDesign>  $designs
     * @return list<FoundDesign> the best first; of those that cannot be told apart the best
     */
    private static function ranked(array $designs): array
    {
        usort($designs, static fn (FoundDesign $a, FoundDesign $b): int => $a->objective <=> $b->objective);
        $kept = [];
        foreach ($designs as $design) {
            if (count($kept) === self::KEPT) {
                break;
            }
            $alike = array_filter($kept, static fn (FoundDesign $one): bool => $design->isLike($one));
            if ($alike === []) {
                $kept[] = $design;
            }
        }

        return $kept;
    }
}
