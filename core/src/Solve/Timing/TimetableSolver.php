<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Timing;

use Random\Engine\Mt19937;
use Random\Randomizer;
use UpsweptBead\Core\Solve\Timing\Search\Annealing;
use UpsweptBead\Core\Solve\Timing\Search\ByTurns;

/**
 * Finds in which order one welder is done soonest, so that one seam cools while another is welded: of a few tasks the
 * best there is, of many a good one.
 */
final readonly class TimetableSolver
{
    /** Of so many tasks every order is looked at. */
    private const FEW = 12;

    /** So much of the time goes into a good order to begin with. */
    private const FIRST_SHARE = 0.05;

    /**
     * @param  \Closure(): float  $clock  seconds from any moment on
     * @param  int  $movesEach  from warm to cold, for each task: fewer where there is less time
     */
    public function __construct(
        private BenchWork $work,
        private int $seed,
        private \Closure $clock,
        private int $movesEach = Annealing::MOVES_EACH,
    ) {}

    /** The work has no ring in what comes after what. */
    public function solve(float $seconds): TimetableAnswer
    {
        $late = $this->tooLate();
        if ($late !== null) {
            return new TimetableAnswer(null, false, $late);
        }
        $listed = $this->work->listed();
        if ($listed === []) {
            return new TimetableAnswer(Timetable::of($this->work, []), true, null);
        }
        $began = ($this->clock)();
        $until = fn (float $share): \Closure => fn (): bool => ($this->clock)() - $began >= $share * $seconds;
        $isFew = count($listed) <= self::FEW;
        $annealing = new Annealing($this->work, $listed, new Randomizer(new Mt19937($this->seed)), $this->movesEach);
        $annealing->run($until($isFew ? self::FIRST_SHARE : 1.0));
        $found = Timetable::of($this->work, $annealing->best);
        if (! $isFew) {
            return new TimetableAnswer($found->isInTime() ? $found : null, false, null);
        }
        $turns = new ByTurns($this->work, $until(1.0));
        $isIn = $found->isInTime();
        $turns->search(
            $isIn ? $annealing->best : [],
            $isIn ? $found->endMin : INF,
            $isIn ? $found->changes : PHP_INT_MAX,
        );
        $best = $turns->best === [] ? null : Timetable::of($this->work, $turns->best);

        return new TimetableAnswer(
            $best,
            $turns->isDone && $best !== null,
            $turns->isDone && $best === null ? $this->blamed() : null,
        );
    }

    /** A task that is not done in time even if nothing but what it comes after is done before it. */
    private function tooLate(): ?int
    {
        $ends = [];
        foreach ($this->work->listed() as $i) {
            $task = $this->work->tasks[$i];
            $start = $this->work->pieces[$task->piece]->changeMin;
            $fill = 0.0;
            foreach ($task->after as $one) {
                $start = max($start, $ends[$one] + ($this->work->waits[$i][$one] ?? 0.0));
                $fill = max($fill, $ends[$one]);
            }
            $arc = $start + $task->setupMin;
            if ($task->fillMin > 0.0) {
                $arc = max($arc, $fill + $task->fillMin);
            }
            $ends[$i] = $arc + $task->arcMin;
            if ($task->dueMin !== null && $ends[$i] > $task->dueMin + 1e-9) {
                return $i;
            }
        }

        return null;
    }

    /** Of a few tasks of which some cannot be in time: one without whose due time all others could be. */
    private function blamed(): int
    {
        $dues = array_keys(array_filter(
            $this->work->tasks,
            static fn (BenchTask $task): bool => $task->dueMin !== null,
        ));
        foreach (array_reverse($dues) as $late) {
            $tasks = [];
            foreach ($this->work->tasks as $i => $task) {
                $tasks[] = $i === $late ? $task->whenever() : $task;
            }
            $eased = $this->work->with($tasks);
            $turns = new ByTurns($eased, static fn (): bool => false);
            $turns->search([], INF, PHP_INT_MAX, true);
            if ($turns->best !== []) {
                return $late;
            }
        }

        return $dues[0] ?? 0;
    }
}
