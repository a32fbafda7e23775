<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit;

use UpsweptBead\Core\Branching\BuiltCollector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Joint\JointList;
use UpsweptBead\Core\Layout\Layout;
use UpsweptBead\Core\Layout\NutReach;
use UpsweptBead\Core\Layout\RoutedRun;
use UpsweptBead\Core\Reason\Notice;
use UpsweptBead\Core\Route\Insertion\Insertion;
use UpsweptBead\Core\Route\Insertion\Step;
use UpsweptBead\Core\Route\Insertion\Stuck;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Survey\Surroundings;

/**
 * The fourth stage: one order of building for the whole job, the seams that must be welded before the runs stand
 * together, and how far a spanner swings on each nut once they do.
 */
final readonly class FitPlan
{
    /**
     * @param  list<BuiltCollector>  $collectors  that have something welded here
     * @param  list<string>  $letters  of the runs that are built, as they go in
     * @param  list<FitStep>  $steps
     * @param  list<TightSeam>  $tight  tightest first
     * @param  list<NutReach>  $nuts
     * @param  ?Insertion  $insertion  null where it is not known, or there is nothing to get past
     * @param  list<Notice>  $notices
     */
    private function __construct(
        public array $collectors,
        public array $letters,
        public array $steps,
        public array $tight,
        public array $nuts,
        public ?Insertion $insertion,
        public array $notices,
    ) {}

    /** @param  ?Insertion  $insertion  the order in which the runs go in, where it has been worked out */
    public static function of(Job $job, Layout $layout, JointList $joints, Shop $shop, ?Insertion $insertion): self
    {
        $collectors = array_values(array_filter(
            $layout->placement->collectors->all,
            static fn (BuiltCollector $one): bool => $joints->ofRun($one->build->letter) !== [],
        ));
        $letters = self::letters($layout, $joints, $insertion);
        $tight = TightSeam::all($layout, $joints, $shop->rules);
        $nuts = NutReach::of($job, $layout->runs, Surroundings::goingIn($job, $shop), $shop->rules);

        return new self(
            $collectors,
            $letters,
            BuildOrder::of($joints, $collectors, $letters, $insertion, $tight),
            $tight,
            $nuts,
            $insertion,
            [...NutReach::notices($nuts, $job, $shop->rules), ...self::stuck($job, $insertion)],
        );
    }

    /** @return list<string> what is looked at in the trial fit, on the vehicle or its model */
    public static function trialFit(): array
    {
        return [
            'Gasket in, panels hung, plain nut on the V-band.',
            'Steering through its whole range, not only to the stops; suspension through its travel.',
            'Every flange bolt, clamp and sensor reached with the real tool.',
        ];
    }

    /** @return list<string> as they go in; those that no order gets in come last, where it is not known as in the survey */
    private static function letters(Layout $layout, JointList $joints, ?Insertion $insertion): array
    {
        $built = array_filter(
            array_map(static fn (RoutedRun $one): string => $one->spec->letter, $layout->runs),
            static fn (string $letter): bool => $joints->ofRun($letter) !== [],
        );
        $order = array_map(static fn (Step $step): string => $step->tube, $insertion->order ?? []);

        return array_values(array_unique([...array_intersect($order, $built), ...$built]));
    }

    /** @return list<Notice> */
    private static function stuck(Job $job, ?Insertion $insertion): array
    {
        return array_map(static function (Stuck $stuck) use ($job): Notice {
            $index = array_search($stuck->tube, array_map(static fn ($run): string => $run->letter, $job->runs), true);

            return Notice::caution(
                "runs[$index].route",
                sprintf(
                    'Run %s can be put in whole neither before nor after the others; most in its way: %s. Fit it in two parts, or change its route.',
                    $stuck->tube,
                    implode(', ', $stuck->by),
                ),
            );
        }, $insertion->stuck ?? []);
    }
}
