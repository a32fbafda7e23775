<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Step\Work;

/** The next sensible thing to do with a job, and the stage it is done at. */
final readonly class NextAction
{
    private function __construct(public string $stage, public NextGroup $group, public string $text) {}

    /** While there is a draft, or nothing else. */
    public static function planning(Plan $plan): self
    {
        $routed = array_map(static fn (RoutedRun $one): string => $one->spec->letter, $plan->layout->runs);
        $all = array_map(static fn (RunSpec $run): string => $run->letter, $plan->job->runs);
        $open = array_values(array_diff($all, $routed));
        if ($open !== []) {
            return new self(
                'route',
                NextGroup::Route,
                match (true) {
                    count($open) > 1 => sprintf('Find ways for %d runs', count($open)),
                    $plan->job->run($open[0])?->end->isFree === true => "Put the first piece on run $open[0]",
                    default => "Find a way for run $open[0]",
                },
            );
        }
        $problems = $plan->problems();
        $isEmpty = $plan->job->runs === [] && $plan->layout->placement->collectors->all === [];
        if ($isEmpty || $problems !== []) {
            $count = count($problems);

            return $isEmpty
                ? new self('survey', NextGroup::Survey, 'Enter the first run')
                : new self(
                    self::stageOf($problems),
                    NextGroup::Problems,
                    $count === 1 ? 'Solve 1 problem' : "Solve $count problems",
                );
        }

        return new self('release', NextGroup::Release, 'Look it over and release it');
    }

    /**
     * The stage where problems are solved: at Merge where all of them are about collectors and branches, at Survey
     * where they are about readings.
     *
     * @param  list<Notice>  $problems
     */
    private static function stageOf(array $problems): string
    {
        $isRead = static fn (Notice $one): bool => str_starts_with($one->path, 'measured');
        if (array_filter($problems, $isRead) === $problems) {
            return 'survey';
        }
        foreach ($problems as $problem) {
            $isAtMerge = str_contains($problem->path, '.build') || str_contains($problem->path, '.saddle');
            if (! $isAtMerge) {
                return 'route';
            }
        }

        return 'merge';
    }

    /**
     * Once there is a release and no draft.
     *
     * @param  int  $toBuy  pieces of stock that the release needs and the shelf has not
     */
    public static function making(Progress $progress, int $toBuy): self
    {
        $next = $progress->next();
        if ($next === null) {
            return new self('handover', NextGroup::Done, 'Hand over');
        }
        if ($next->kind->takesStock() && $toBuy > 0) {
            return new self(
                'cut',
                NextGroup::StockMissing,
                $toBuy === 1 ? 'Buy 1 piece of stock' : "Buy $toBuy pieces of stock",
            );
        }
        $group = match ($next->kind->work()) {
            Work::Prepare => NextGroup::Prepare,
            Work::Tack => NextGroup::Tack,
            Work::TrialFit => NextGroup::TrialFit,
            Work::Purge, Work::Weld => NextGroup::Weld,
            Work::Cool => NextGroup::Cool,
            Work::Inspect => NextGroup::Inspect,
        };

        return new self('bench', $group, $next->title);
    }

    /** Where the job stands on the rack, 0 first: work in hand before work to plan, what is done last. */
    public function place(): int
    {
        return match ($this->stage) {
            'bench' => 0,
            'cut' => 1,
            'release' => 2,
            'route', 'merge' => 3,
            'survey' => 4,
            default => 5,
        };
    }
}
