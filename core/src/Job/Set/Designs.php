<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Set;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RunSpec;

/** Whole designs put in place of one another. */
final readonly class Designs
{
    private const SAME_MM = 0.01;

    /**
     * The job with a design in place: every run of it gets its route and goes to its end. The ends of a collector stay
     * in their order round it, so its runs are named in the order of their new ends.
     */
    public static function taken(Job $job, DesignSpec $design): Job
    {
        $byLetter = array_column($design->runs, null, 'letter');
        $runs = array_map(
            static fn (RunSpec $run): RunSpec => isset($byLetter[$run->letter])
                ? self::changed($run, $byLetter[$run->letter], $job)
                : $run,
            $job->runs,
        );
        $after = array_column($runs, null, 'letter');
        $collectors = [];
        foreach ($job->set->collectors as $one) {
            $order = [];
            foreach ($one->runs as $letter) {
                $place = $job->run($letter)?->end->frame()->at;
                foreach ($one->runs as $candidate) {
                    if (
                        $place !== null &&
                        ! in_array($candidate, $order, true) &&
                        $after[$candidate]->end->frame()->at->distanceTo($place) < self::SAME_MM
                    ) {
                        $order[] = $candidate;
                        break;
                    }
                }
            }
            // Ends that were moved meanwhile tell no order; then it stays as it was.
            $collectors[] = count($order) === count($one->runs) ? $one->holding($order) : $one;
        }

        return $job->with($runs, $job->set->collecting($collectors));
    }

    /** What is in place now, as a design; null until every run has its route. */
    public static function current(Job $job, string $name): ?DesignSpec
    {
        $runs = [];
        foreach ($job->runs as $run) {
            if ($run->route === null) {
                return null;
            }
            $runs[] = new DesignRun($run->letter, $run->end->at, $run->end->direction, $run->route);
        }

        return $runs === [] ? null : new DesignSpec($name, '', $runs);
    }

    /** The part a run ends in (its kind, its metal) goes with the place. */
    private static function changed(RunSpec $run, DesignRun $design, Job $job): RunSpec
    {
        $end = $run->end->moved($design->at, $design->direction);
        foreach ($job->runs as $other) {
            if (self::isThere($other, new Vector($design->at[0]->mm, $design->at[1]->mm, $design->at[2]->mm))) {
                $end = $other->end;
            }
        }

        return $run->with($run->start, $end, $design->route);
    }

    private static function isThere(RunSpec $run, Vector $at): bool
    {
        return $run->end->frame()->at->distanceTo($at) < self::SAME_MM;
    }
}
