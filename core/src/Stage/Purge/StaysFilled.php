<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge;

use UpsweptBead\Core\Stage\Fit\Order\Sequence;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * Which joints find what they are of closed and filled from an earlier one: held, fed and vented alike, with nothing
 * else done between, so that only what crept in since has to be rinsed out. Common practice.
 */
final readonly class StaysFilled
{
    /**
     * @param  array<string, PurgePose>  $poses  of joints that are filled, by joint
     * @return array<string, string> by joint, the one it was first filled for
     */
    public static function of(Sequence $build, array $poses): array
    {
        $first = $since = [];
        $batch = 0;
        foreach ($build->tasks as $task) {
            if ($task->kind !== StepKind::Weld || $task->joint === null) {
                $batch++;

                continue;
            }
            $pose = $poses[$task->joint->id] ?? null;
            if ($pose === null || ! self::isClosed($task, $pose)) {
                continue;
            }
            $key = "$batch {$pose->key()}";
            if (isset($first[$key])) {
                $since[$task->joint->id] = $first[$key];
            }
            $first[$key] ??= $task->joint->id;
        }

        return $since;
    }

    /** An open mouth lets the argon out, and so does a hole that is drilled. */
    private static function isClosed(Task $task, PurgePose $pose): bool
    {
        return ! $pose->isEntered() && $task->joint?->type->isOnSide() !== true;
    }
}
