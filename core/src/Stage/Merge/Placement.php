<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Points;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\TubeSize;

/**
 * A job with every end where the part stands that it meets: the inlets and outlets of built collectors, and the sides
 * of runs that others stand on. Moving a collector moves the ends that go into it.
 */
final readonly class Placement
{
    /** An end this near is there already. */
    private const SAME_MM = 2e-3;

    /**
     * @param  list<Branch>  $branches
     * @param  list<FlangePlan>  $flanges
     * @param  list<Slant>  $slants
     */
    private function __construct(
        public Job $job,
        public Collectors $collectors,
        public array $branches,
        public array $flanges,
        public array $slants,
    ) {}

    public static function of(Job $job, Shop $shop): self
    {
        $collectors = Collectors::of($job, $shop);
        $runs = array_column($job->runs, null, 'letter');
        $against = static fn (RunEnd $end, string $name, Frame $frame, TubeSize $tube): RunEnd => $end->against(
            $name,
            $frame,
            $job->metal,
            $tube->wallMm,
        );
        foreach ($collectors->all as $one) {
            foreach ($one->spec->runs as $place => $letter) {
                if (isset($runs[$letter])) {
                    $end = $against($runs[$letter]->end, $one->mark($place), $one->inlet($place), $one->tube());
                    $runs[$letter] = $runs[$letter]->between($runs[$letter]->start, $end);
                }
            }
            $into = $one->build->into;
            if ($into !== null && isset($runs[$into])) {
                $start = $against($runs[$into]->start, $one->spec->name, $one->outlet(), $one->tube());
                $runs[$into] = $runs[$into]->between($start, $runs[$into]->end);
            }
        }
        $branches = [];
        foreach (self::inOrder($runs) as $letter) {
            foreach ([true, false] as $isStart) {
                $branch = self::branch($job, $shop, $runs, $letter, $isStart);
                if ($branch === null) {
                    continue;
                }
                $branches[] = $branch;
                $frame = $branch->frame();
                $run = $runs[$letter];
                $main = $shop->catalogue->tubes[$runs[$branch->spec->on]->tubeId ?? ''] ?? null;
                if ($frame !== null && $main !== null) {
                    $name = "Side of run {$branch->spec->on}";
                    $run = $branch->isStart
                        ? $run->between($against($run->start, $name, $frame, $main), $run->end)
                        : $run->between($run->start, $against($run->end, $name, $frame, $main));
                    $stub = $branch->spec->stub;
                    $runs[$letter] = $stub === null ? $run : self::stub($run, $branch, $stub);
                }
            }
        }

        $placed = $job->with(array_map(self::freed(...), array_values($runs)), $job->set);

        return new self($placed, $collectors, $branches, FlangePlan::all($placed, $shop), Slant::all($placed, $shop));
    }

    /** Only the job, with its ends in place. */
    public static function in(Job $job, Shop $shop): Job
    {
        $isBranched = array_filter(
            $job->runs,
            static fn (RunSpec $run): bool => $run->isBranch() || $run->end->isFree,
        ) !== [];
        foreach ($job->set->collectors as $one) {
            $isBranched = $isBranched || $one->build !== null;
        }

        return $isBranched ? self::of($job, $shop)->job : $job;
    }

    /** @return list<Branch> that stand on a run */
    public function branchesOn(string $letter): array
    {
        return array_values(array_filter(
            $this->branches,
            static fn (Branch $one): bool => $one->spec->on === $letter,
        ));
    }

    public function branchAt(string $letter, bool $isStart): ?Branch
    {
        foreach ($this->branches as $one) {
            if ($one->letter === $letter && $one->isStart === $isStart) {
                return $one;
            }
        }

        return null;
    }

    /** A free end is where the pieces of its run end; before the first of them, where it starts. */
    private static function freed(RunSpec $run): RunSpec
    {
        $start = $run->start->frame();

        return $run->end->isFree
            ? $run->between($run->start, $run->end->standing($run->route?->from($start)->end() ?? $start))
            : $run;
    }

    /** A branch that is only a stub: straight, its far end where it reaches to. */
    private static function stub(RunSpec $run, Branch $branch, Length $stub): RunSpec
    {
        $lengthMm = max(1.0, round($stub->mm - $branch->lowMm, 3));
        $route = new RouteChoice([], Length::ofMm($lengthMm), false, $run->route?->cuts);
        $near = $branch->isStart ? $run->start : $run->end;
        $frame = $near->frame();
        $far = $branch->isStart ? $frame->advanced($lengthMm) : $frame->advanced(-$lengthMm);
        $end = $branch->isStart ? $run->end : $run->start;
        $isThere = $end->frame()->at->distanceTo($far->at) < self::SAME_MM
            && $end->frame()->forward->distanceTo($far->forward) < self::SAME_MM;
        $end = $isThere ? $end : $end->moved(Points::of($far->at), $near->direction);

        return ($branch->isStart ? $run->between($run->start, $end) : $run->between($end, $run->end))->routed($route);
    }

    /**
     * Runs so that each comes behind those it stands on; of those that stand on one another in a ring the rest comes as
     * it is.
     *
     * @param  array<array-key, RunSpec>  $runs
     * @return list<array-key>
     */
    private static function inOrder(array $runs): array
    {
        $order = [];
        $left = array_keys($runs);
        while ($left !== []) {
            $next = array_filter($left, static function (int|string $letter) use ($runs, $left): bool {
                $on = [$runs[$letter]->start->saddle?->on, $runs[$letter]->end->saddle?->on];

                return array_intersect($on, array_map(strval(...), $left)) === [];
            });
            $next = $next === [] ? $left : $next;
            array_push($order, ...array_values($next));
            $left = array_diff($left, $next);
        }

        return $order;
    }

    /** @param  array<array-key, RunSpec>  $runs */
    private static function branch(Job $job, Shop $shop, array $runs, int|string $letter, bool $isStart): ?Branch
    {
        $run = $runs[$letter];
        $spec = $isStart ? $run->start->saddle : $run->end->saddle;
        $index = array_search($letter, array_keys($runs), true);

        return $spec === null ? null : Branch::of(
            $run,
            $isStart,
            $spec,
            $runs[$spec->on] ?? null,
            "runs[$index].".($isStart ? 'start' : 'end'),
            $job->units,
            $shop,
        );
    }
}
