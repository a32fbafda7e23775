<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule;

use UpsweptBead\Core\Stage\Fit\Order\Sequence;
use UpsweptBead\Core\Stage\Step\StepKind;

/** The order in which the joints of a whole job are welded: that of the build, in batches with nothing else between. */
final readonly class WeldOrder
{
    /** @return list<Weld> */
    public static function of(Sequence $build): array
    {
        $welds = [];
        $batch = 0;
        foreach ($build->tasks as $task) {
            if ($task->kind === StepKind::Weld && $task->joint !== null) {
                $welds[] = new Weld($task->joint, $task->phase, $task->why, $batch);
            } else {
                $batch++;
            }
        }

        return $welds;
    }
}
