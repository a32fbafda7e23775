<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\RouteSearch;
use App\Models\SearchState;
use App\Workshop\Workshop;
use Closure;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Layout\SetProblem;
use UpsweptBead\Core\Plan\Json\FigureWriter;
use UpsweptBead\Core\Plan\Json\SetPlanWriter;
use UpsweptBead\Core\Route\Problem\RouteProblem;
use UpsweptBead\Core\Route\Search\SetAnswer;
use UpsweptBead\Core\Route\Search\SetSolver;
use UpsweptBead\Core\Route\Search\SetStatus;

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

    public int $tries = 1;

    public int $timeout = 170;

    private float $lastBeat = 0.0;

    public function __construct(private readonly int $searchId) {}

    public function handle(Workshop $workshop): void
    {
        $search = RouteSearch::query()->find($this->searchId);
        if ($search === null || $search->state !== SearchState::Queued) {
            return;
        }
        if ($search->stop_asked) {
            $search->update(['state' => SearchState::Stopped]);

            return;
        }
        $search->update(['state' => SearchState::Running]);
        $job =
            JobReader::fromDecoded($search->document)->job ??
            throw new \LogicException("Search $search->id holds a document that cannot be read.");
        $this->run($search, $job, SetProblem::of($job, $workshop->shop()));
    }

    public function failed(?\Throwable $error): void
    {
        RouteSearch::query()
            ->whereKey($this->searchId)
            ->update([
                'state' => SearchState::Failed,
                'message' => 'The search broke off; nothing of the job was changed.',
            ]);
    }

    private function run(RouteSearch $search, CoreJob $job, RouteProblem $problem): void
    {
        $writer = new SetPlanWriter(new FigureWriter($job->units));
        $now = static fn (): float => hrtime(true) / 1e9;
        // What an earlier search found stands beside what this one finds.
        $designs = [];
        foreach ($search->designs as $design) {
            $designs[is_int($design['seed'] ?? null) ? $design['seed'] : 0] = $design;
        }
        $last = null;
        for (
            $seed = $search->first_seed;
            $seed < $search->first_seed + self::DESIGNS && ! $search->stop_asked;
            $seed++
        ) {
            $take = function (SetAnswer $answer) use (&$designs, $seed, $search, $writer): bool {
                $designs[$seed] = ['seed' => $seed, ...$writer->answer($answer)];

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
            'message' => $designs === [] && $last !== null ? self::message($writer->answer($last)) : '',
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
                $search->stop_asked = (bool) RouteSearch::query()->whereKey($search->id)->value('stop_asked');
            }

            return $search->stop_asked;
        };
    }

    /** @param  array<int, array<string, mixed>>  $designs */
    private function store(RouteSearch $search, array $designs): bool
    {
        RouteSearch::query()
            ->whereKey($search->id)
            ->update(['designs' => json_encode(self::ranked($designs), JSON_THROW_ON_ERROR)]);

        return ! $search->stop_asked;
    }

    /**
     * @param  array<int, array<string, mixed>>  $designs
     * @return list<array<string, mixed>>
     */
    private static function ranked(array $designs): array
    {
        usort($designs, static fn (array $a, array $b): int => $a['objective'] <=> $b['objective']);

        return array_slice($designs, 0, self::KEPT);
    }

    /** @param  array<string, mixed>  $answer */
    private static function message(array $answer): string
    {
        $reasons = $answer['reasons'] ?? [];
        if (is_array($reasons) && $reasons !== []) {
            return implode(' ', array_filter($reasons, is_string(...)));
        }
        $near = is_array($answer['nearest'] ?? null) ? $answer['nearest'] : null;
        $by = is_array($near['by'] ?? null) && is_string($near['by']['text'] ?? null) ? $near['by']['text'] : '';

        return 'Nothing was found, which proves nothing.'.
            ($near === null || ! is_string($near['run'] ?? null) || ! is_string($near['other'] ?? null)
                ? ' Try again with more time.'
                : " The nearest miss: run {$near['run']}".
                    ($near['other'] === '' ? '' : " and {$near['other']}").
                    ", by $by.");
    }
}
