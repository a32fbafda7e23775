<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\LogEntry;
use Generator;
use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Stage\Bench\LogEntry as CoreEntry;
use UpsweptBead\Core\Stage\Bench\Progress;

/** A job's log, however long: what decides where the job stands, and its lines a page at a time. */
final readonly class JobLog
{
    public const PAGE = 40;

    /** All but the traces of devices, which are long and read by themselves. */
    private const COLUMNS = 'l.position, l.id, l.step, l.step_kind, l.step_subject, l.step_round, l.kind, l.readings, l.note, l.made_at, l.why, l.points, l.inspected, u.name as by, r.number as revision';

    /** What is remembered of the log beyond this is read anew, not added line by line. */
    private const MOST_TO_ADD = 500;

    public function __construct(private SharedMemo $memo) {}

    /** Where the log is now. */
    public function now(Job $job): KnownLog
    {
        $key = config()->string('cache.prefix')."log-$job->id";
        $known = $this->memo->recall([$key])[$key] ?? null;
        $log = ($known instanceof KnownLog ? $this->goOn($job, $known) : null) ?? $this->readNow($job);
        if ($log !== $known) {
            $this->memo->keep([$key => $log]);
        }

        return $log;
    }

    /**
     * What came after a known place; the entries of one job become visible in the order of their places, see BenchLog.
     * Null where the database no longer has that place, as after another one was put in, or where too much came.
     */
    private function goOn(Job $job, KnownLog $known): ?KnownLog
    {
        $last = $known->last();
        $rows = $this->rows(
            'select '.self::COLUMNS.' from log_entries l join users u on u.id = l.user_id join revisions r on r.id = l.revision_id
                where l.job_id = :job and l.position >= :from order by l.position limit '.self::MOST_TO_ADD,
            ['job' => $job->id, 'from' => $last->position ?? 0],
        );
        if (count($rows) === self::MOST_TO_ADD || $last !== null && ($rows[0]->id ?? null) !== $last->id) {
            return null;
        }

        return $known->with($last === null ? $rows : array_slice($rows, 1));
    }

    /** All of it up to the newest entry; what comes in meanwhile is added the next time. */
    private function readNow(Job $job): KnownLog
    {
        $last = LogEntry::query()->where('job_id', $job->id)->max('position');
        $last = is_int($last) ? $last : 0;
        [$newest, $earlier] = $this->newest($job, $last + 1);

        return new KnownLog($newest, $this->deciding($job, $last), $earlier + count($newest));
    }

    /**
     * The entries that decide where a job stands, in the order they arrived: of each step the last that closed or
     * opened it, the last that gave each of its readings, and the last with a note.
     *
     * @return list<LogRow>
     */
    private function deciding(Job $job, int $last): array
    {
        return $this->rows(
            // Fetched one by one: there are few of them, however long the log is.
            'select '.self::COLUMNS.' from (
                (select max(position) as position from log_entries where job_id = :closing and position <= :close and kind in (\'done\', \'reopen\') group by step)
                union
                (select max(position) from log_entries, jsonb_object_keys(readings) as read where job_id = :reading and position <= :read and readings <> \'{}\'::jsonb group by step, read)
                union
                (select position from (select position, row_number() over (partition by step order by position desc) as place from log_entries where job_id = :noting and position <= :note and note <> \'\') noted where place <= '.Progress::NOTES.')
            ) d
            cross join lateral (select * from log_entries one where one.job_id = :job and one.position = d.position limit 1) l
            join users u on u.id = l.user_id join revisions r on r.id = l.revision_id order by l.position',
            ['closing' => $job->id, 'close' => $last, 'reading' => $job->id, 'read' => $last, 'noting' => $job->id, 'note' => $last, 'job' => $job->id],
        );
    }

    /**
     * The newest lines before a place in the log, the oldest of them first.
     *
     * @return array{lines: list<array<string, mixed>>, earlier: int} and how many there are before them
     */
    public function page(Job $job, int $before): array
    {
        [$rows, $earlier] = $this->newest($job, $before);

        return ['lines' => array_map(static fn (LogRow $row): array => $row->line(), $rows), 'earlier' => $earlier];
    }

    /** @return array{list<LogRow>, int} at most a page of entries before a place, and how many there are before them */
    private function newest(Job $job, int $before): array
    {
        $rows = $this->rows(
            'select '.self::COLUMNS.', (select count(*) from log_entries where job_id = :of and position < :to) as till_here
                from log_entries l join users u on u.id = l.user_id join revisions r on r.id = l.revision_id
                where l.job_id = :job and l.position < :before order by l.position desc limit '.self::PAGE,
            ['job' => $job->id, 'before' => $before, 'of' => $job->id, 'to' => $before],
        );

        return [array_reverse($rows), ($rows[0]->tillHere ?? 0) - count($rows)];
    }

    /** @return Generator<int, CoreEntry> every entry, without holding them all */
    public function all(Job $job): Generator
    {
        for ($after = 0; ; $after = $last) {
            $last = $after;
            foreach ($this->rows(
                'select '.self::COLUMNS.' from log_entries l join users u on u.id = l.user_id join revisions r on r.id = l.revision_id
                    where l.job_id = :job and l.position > :after order by l.position limit 1000',
                ['job' => $job->id, 'after' => $after],
            ) as $row) {
                $last = $row->position;
                yield $row->entry();
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
}
