<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Collector\CollectorEntry;
use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;

/** Where runs meet as it stands now: what is proposed when a collector is set down as one thing. */
final readonly class Meeting
{
    /**
     * @param  Vector  $at  the middle of the runs' ends, mm
     * @param  Vector  $axis  the way the gas goes on: the mean of their directions, of length 1
     */
    private function __construct(public CollectorSpec $collector, public Vector $at, public Vector $axis) {}

    /**
     * The first collector there is, or all runs where there is none; null without runs.
     *
     * @param  ?TubeSize  $tube  of the runs, which decides how they usually enter
     */
    public static function of(Job $job, ?TubeSize $tube = null): ?self
    {
        $letters = array_map(static fn (RunSpec $run): string => $run->letter, $job->runs);
        $collector = $job->set->collectors[0] ?? new CollectorSpec(
            'Collector',
            $letters,
            AssignmentMode::Any,
            [],
            CollectorEntry::usual($tube->wallMm ?? 0.0),
        );
        $meets = static fn (RunSpec $run): bool => in_array($run->letter, $collector->runs, true);
        $ends = array_values(array_filter($job->runs, $meets));
        if ($ends === []) {
            return null;
        }
        $at = $axis = new Vector(0, 0, 0);
        foreach ($ends as $run) {
            $frame = $run->end->frame();
            $at = $at->plus($frame->at->times(1 / count($ends)));
            $axis = $axis->plus($frame->forward);
        }

        // Ends that face each other have no way in common.
        return new self($collector, $at, $axis->length() > 1e-6 ? $axis->unit() : $ends[0]->end->frame()->forward);
    }
}
