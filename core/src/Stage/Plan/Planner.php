<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Shop\Practice\RoutingLimits;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Solve\Route\Insertion\Insertion;
use UpsweptBead\Core\Solve\Route\RouteAnswers;
use UpsweptBead\Core\Solve\Route\RouteRequest;
use UpsweptBead\Core\Solve\Route\TwoBend\TwoBendRouter;
use UpsweptBead\Core\Stage\Bench\BenchSteps;
use UpsweptBead\Core\Stage\Bench\WorkPlan;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Fit\Access\Access;
use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Merge\Placement;
use UpsweptBead\Core\Stage\Schedule\Schedule;
use UpsweptBead\Core\Stage\Survey\Surveyed;
use UpsweptBead\Core\Stage\Survey\SurveyReport;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

/**
 * Job and shop in, plan out: pure and deterministic, over the whole job, in stages that each know only those before:
 * route → cut → joints → fit → weld and purge → schedule → bench.
 */
final readonly class Planner
{
    /**
     * @param  ?Insertion  $insertion  the order in which the runs go in; null where it is not worked out yet, as
     *                                 it takes too long for every edit: then the survey's order counts
     * @param  ?Surveyed  $surveyed  the job's readings as they were adjusted; null where that is still to be done
     */
    public static function plan(
        Job $job,
        Shop $shop,
        ?Insertion $insertion = null,
        ?Surveyed $surveyed = null,
    ): Plan {
        $sketch = self::sketch($job, $shop, $surveyed);

        $access = Access::known($sketch->job, $sketch->layout, $sketch->joints, $shop, $insertion);

        return self::of($sketch, $shop, $insertion, $access);
    }

    /**
     * The same with the order in which the runs go in worked out, and what a torch gets to.
     *
     * @param  ?Insertion  $known  that order, where it is known already
     */
    public static function planInFull(Job $job, Shop $shop, ?Insertion $known = null): Plan
    {
        $sketch = self::sketch($job, $shop);
        $insertion = $known ?? $sketch->layout->insertion($job, $shop);

        $access = Access::of($sketch->job, $sketch->layout, $sketch->joints, $shop, $insertion);

        return self::of($sketch, $shop, $insertion, $access);
    }

    private static function of(Sketch $sketch, Shop $shop, ?Insertion $insertion, ?Access $access): Plan
    {
        $job = $sketch->job;
        [$layout, $cut, $joints] = [$sketch->layout, $sketch->cut, $sketch->joints];
        $fit = FitPlan::of($job, $layout, $cut, $joints, $shop, $insertion, $access);
        $weld = WeldPlan::of($job, $layout, $cut, $joints, $shop, $fit);
        $schedule = Schedule::of($fit, $weld, $shop);
        $steps = BenchSteps::of(new WorkPlan($cut, $joints, $fit, $weld, $schedule), $job, $shop->rules);

        return new Plan(SurveyReport::of($job, $shop, $layout->surveyed), $sketch, $fit, $weld, $schedule, $steps);
    }

    /** Only the first stages, for while something is dragged. */
    public static function sketch(Job $job, Shop $shop, ?Surveyed $surveyed = null): Sketch
    {
        $layout = Layout::of($job, $shop, $surveyed);
        $job = $layout->placement->job;
        $cut = CutPlan::of($job, $layout, $shop);

        return new Sketch($job, $layout, $cut, JointList::of($job, $layout, $cut, $shop), Rates::of($shop));
    }

    /**
     * Looks for ways to route one run of a job from the bends in the catalogue.
     *
     * @throws UnknownStock if the run's tube is in no catalogue
     * @throws \OutOfBoundsException if the job has no such run
     */
    public static function route(Job $job, string $letter, Shop $shop): RouteAnswers
    {
        $placement = Placement::of(Surveyed::of($job, $shop)->job, $shop);
        $spec = $placement->job->run($letter)
            ?? throw new \OutOfBoundsException(sprintf('The job has no run "%s".', mb_substr($letter, 0, 20)));
        $tube = $shop->catalogue->tube($spec->tubeId);

        return TwoBendRouter::solve(new RouteRequest(
            $spec->start->frame(),
            $spec->end->frame(),
            $shop->catalogue->bendsFor($tube->id),
            self::behindSaddles($placement, $letter, $job->set->routing->on($shop->rules->routing())),
            $shop->shelf,
        ));
    }

    /** Where an end stands on another run, its straight only counts from where the whole tube is there. */
    private static function behindSaddles(Placement $placement, string $letter, RoutingLimits $limits): RoutingLimits
    {
        $hiddenMm = static function (bool $isStart) use ($placement, $letter): float {
            $branch = $placement->branchAt($letter, $isStart);

            return $branch === null ? 0.0 : $branch->highMm - $branch->lowMm;
        };

        return new RoutingLimits(
            $limits->firstStraightMm + $hiddenMm(true),
            $limits->innerStraightMm,
            $limits->lastStraightMm + $hiddenMm(false),
            $limits->minAngleDeg,
            $limits->grid,
        );
    }
}
