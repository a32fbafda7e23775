<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\LogEntry;
use Generator;
use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Bench\LogEntry as CoreEntry;
use UpsweptBead\Core\Bench\Progress;

/** A job's log, however long: what decides where the job stands, and its lines a page at a time. */
final readonly class JobLog
{
    public const PAGE = 40;

    /**
     * The entries that decide where a job stands, in the order they arrived: of each step the last that closed or opened
     * it, and the last that gave each of its readings.
     *
     * @return list<CoreEntry>
     */
    public function deciding(Job $job): array
    {
        $entries = [];
        foreach ($this->rows(
            // Fetched one by one: there are few of them, however long the log is.
            'select l.*, u.name as by from (
                (select max(position) as position from log_entries where job_id = :closing and kind in (\'done\', \'reopen\') group by step)
                union
                (select max(position) from log_entries, jsonb_object_keys(readings) as read where job_id = :reading and readings <> \'{}\'::jsonb group by step, read)
            ) d
            cross join lateral (select * from log_entries one where one.job_id = :job and one.position = d.position limit 1) l
            join users u on u.id = l.user_id order by l.position',
            ['closing' => $job->id, 'reading' => $job->id, 'job' => $job->id],
        ) as $row) {
            $entries[] = self::entry($row);
        }

        return $entries;
    }

    /** Where the job stands, by the steps of a plan of it. */
    public function progress(Job $job, KnownPlan $plan): Progress
    {
        return Progress::of($plan->steps, $this->deciding($job));
    }

    /** The place of the newest entry among all that were ever made; 0 for none. */
    public function position(Job $job): int
    {
        $last = LogEntry::query()->where('job_id', $job->id)->max('position');

        return is_int($last) ? $last : 0;
    }

    /**
     * The newest lines before a place in the log, the oldest of them first.
     *
     * @return array{lines: list<array{id: string, step: string, kind: string, note: string, by: string, at: string, position: int}>, earlier: int} and how many there are before them
     */
    public function page(Job $job, ?int $before = null, int $most = self::PAGE): array
    {
        $before ??= PHP_INT_MAX;
        $rows = $this->rows(
            'select l.*, u.name as by, (select count(*) from log_entries where job_id = :of and position < :to) as till_here
                from log_entries l join users u on u.id = l.user_id
                where l.job_id = :job and l.position < :before order by l.position desc limit '.$most,
            ['job' => $job->id, 'before' => $before, 'of' => $job->id, 'to' => $before],
        );

        return [
            'lines' => array_map(self::line(...), array_reverse($rows)),
            'earlier' => ($rows[0]->tillHere ?? 0) - count($rows),
        ];
    }

    /** @return Generator<int, CoreEntry> every entry, without holding them all */
    public function all(Job $job): Generator
    {
        for ($after = 0; ; $after = $last) {
            $last = $after;
            foreach ($this->rows(
                'select l.*, u.name as by from log_entries l join users u on u.id = l.user_id
                    where l.job_id = :job and l.position > :after order by l.position limit 1000',
                ['job' => $job->id, 'after' => $after],
            ) as $row) {
                $last = $row->position;
                yield self::entry($row);
            }
            if ($last === $after) {
                return;
            }
        }
    }

    /**
     * @param  array<string, int>  $values
     * @return list<LogRow>
     */
    private function rows(string $query, array $values): array
    {
        $rows = [];
        foreach (DB::select($query, $values) as $row) {
            assert(is_object($row));
            $rows[] = LogRow::of($row);
        }

        return $rows;
    }

    private static function entry(LogRow $row): CoreEntry
    {
        return new CoreEntry($row->id, $row->step, $row->kind, $row->readings, $row->note, $row->by, $row->at);
    }

    /** @return array{id: string, step: string, kind: string, note: string, by: string, at: string, position: int} */
    private static function line(LogRow $row): array
    {
        return [
            'id' => $row->id,
            'step' => $row->step,
            'kind' => $row->kind->value,
            'note' => $row->note,
            'by' => $row->by,
            'at' => $row->at->format('c'),
            'position' => $row->position,
        ];
    }
}
