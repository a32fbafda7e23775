<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Ledger;

use UpsweptBead\Core\Account\Learning\LoggedCase;
use UpsweptBead\Core\Stage\Bench\Progress;

/** Minutes that people were at a job, by its log: of each person from one entry to the next. */
final readonly class LoggedMinutes
{
    /** Of a first entry, or one after a break, nobody knows when it was begun: so much is taken; our own figure. */
    private const UNKNOWN_MINUTES = 5.0;

    /**
     * @param  list<array{by: string, step: string, at: \DateTimeImmutable}>  $entries  in the order they were made
     * @return array<string, float> minutes by kind of labour
     */
    public static function minutes(array $entries, Progress $progress): array
    {
        $added = array_column(array_merge(...array_values($progress->added)), null, 'id');
        $steps = array_column($progress->steps, null, 'id');
        $minutes = $last = [];
        foreach ($entries as $entry) {
            $before = $last[$entry['by']] ?? null;
            $last[$entry['by']] = $entry['at'];
            $step = $steps[$entry['step']] ?? null;
            if ($step === null) {
                continue;
            }
            $gone = $before === null ? INF : ($entry['at']->getTimestamp() - $before->getTimestamp()) / 60;
            $kind = Labour::of($step, ! isset($added[$step->id]))->value;
            $minutes[$kind] = ($minutes[$kind] ?? 0.0)
                + ($gone > LoggedCase::MOST_MINUTES || $gone < 0.0 ? self::UNKNOWN_MINUTES : $gone);
        }

        return $minutes;
    }
}
