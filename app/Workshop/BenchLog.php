<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\LogEntry;
use App\Models\Revision;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\EntryReader;
use UpsweptBead\Core\Stage\Bench\LogEntry as CoreEntry;
use UpsweptBead\Core\Stage\Device\Trace;

/**
 * Takes entries from the bench, each for itself. One that is already there changes nothing, so sending twice is safe.
 */
final class BenchLog
{
    /** Which of the locks by number is the turn to log to a job. */
    private const TURN = 1;

    private const COLUMNS = [
        'id' => 'uuid',
        'job_id' => 'bigint',
        'revision_id' => 'bigint',
        'user_id' => 'bigint',
        'step' => 'text',
        'step_kind' => 'text',
        'step_subject' => 'text',
        'step_round' => 'smallint',
        'kind' => 'text',
        'readings' => 'jsonb',
        'note' => 'text',
        'made_at' => 'timestamptz',
        'why' => 'text',
        'points' => 'jsonb',
        'inspected' => 'jsonb',
        'traces' => 'jsonb',
        'metered_l' => 'float8',
        'torch_l' => 'float8',
        'purge_l' => 'float8',
    ];

    /** @var array<int, list<BenchStep>> by the id of a release */
    private array $steps = [];

    public function __construct(private readonly KnownPlans $plans, private readonly BenchStanding $standing) {}

    /**
     * @param  list<mixed>  $entries  decoded, as they came
     * @return list<Taken> what became of each, in their order
     */
    public function take(Job $job, User $by, array $entries, \DateTimeImmutable $now): array
    {
        $read = array_map(fn (mixed $entry): LogEntry|Fault => $this->read($job, $by, $entry, $now), $entries);
        $rows = array_values(array_filter($read, static fn (LogEntry|Fault $one): bool => $one instanceof LogEntry));
        $stored = self::store($rows);
        $there = self::find(array_diff(array_map(static fn (LogEntry $row): string => $row->id, $rows), $stored));
        $told = self::told($job, array_values(array_filter(
            $rows,
            static fn (LogEntry $row): bool => in_array($row->id, $stored, true),
        )));
        $stored = array_fill_keys($stored, true);

        return array_map(static function (mixed $entry, LogEntry|Fault $one) use (&$stored, $there, $told, $now): Taken {
            if ($one instanceof Fault) {
                return Taken::refused(self::idOf($entry), $one);
            }
            if (isset($stored[$one->id])) {
                // The same id a second time in one batch is known by then.
                $isFirst = $stored[$one->id];
                $stored[$one->id] = false;

                return $isFirst
                    ? Taken::stored($one->id, ($told[$one->id] ?? '').self::clock($entry, $now))
                    : Taken::known($one->id);
            }

            return isset($there[$one->id]) && self::isSame($there[$one->id], $one)
                ? Taken::known($one->id)
                : Taken::refused($one->id, new Fault('id', 'taken', 'This id belongs to another entry; make the entry again.'));
        }, $entries, $read);
    }

    /**
     * What was closed by somebody else already is closed once: its argon counts once, and both hear of it.
     *
     * @param  list<LogEntry>  $rows  that were stored now
     * @return array<string, string> in words, by entry
     */
    private static function told(Job $job, array $rows): array
    {
        $told = [];
        foreach ($rows as $row) {
            if ($row->kind !== EntryKind::Done) {
                continue;
            }
            $before = LogEntry::query()
                ->where('job_id', $job->id)->where('step', $row->step)->whereIn('kind', ['done', 'reopen'])
                ->where('id', '<>', $row->id)
                ->where('position', '<', LogEntry::query()->whereKey($row->id)->value('position'))
                ->orderByDesc('position')->first();
            if ($before?->kind === EntryKind::Done) {
                $by = User::query()->find($before->user_id)->name ?? 'somebody';
                $told[$row->id] = "{$row->words()} was closed already, by $by: kept in the log, and its argon is counted once. ";
            }
        }

        return $told;
    }

    private static function clock(mixed $entry, \DateTimeImmutable $now): string
    {
        $text = is_array($entry) && is_string($entry['at'] ?? null) ? $entry['at'] : '';
        $made = date_create_immutable($text);

        return $made !== false && EntryReader::isAhead($made, $now)
            ? sprintf('This device’s clock is ahead (%s); the entry has the server’s time. Set the clock.', $made->format('Y-m-d H:i'))
            : '';
    }

    /**
     * Stores what is not there yet, all of it or nothing. Others who log to the same job wait until it is stored: so
     * the entries of a job become visible in the order of their places, and whoever knows the log up to one of them
     * misses none.
     *
     * @param  list<LogEntry>  $rows
     * @return list<string> the ids of what was stored now
     */
    private static function store(array $rows): array
    {
        if ($rows === []) {
            return [];
        }
        $values = [];
        foreach ($rows as $row) {
            foreach (array_keys(self::COLUMNS) as $column) {
                $values[] = $row->getAttributes()[$column];
            }
        }
        $marks = '('.implode(', ', array_map(static fn (string $type): string => "?::$type", self::COLUMNS)).')';
        $stored = DB::select(
            sprintf(
                'with turn as materialized (select pg_advisory_xact_lock(%d, ?))
                    insert into log_entries (%s) select sent.* from turn cross join (values %s) sent on conflict (id) do nothing returning id',
                self::TURN,
                implode(', ', array_keys(self::COLUMNS)),
                implode(', ', array_fill(0, count($rows), $marks)),
            ),
            [$rows[0]->job_id, ...$values],
            useReadPdo: false,
        );

        return array_values(array_filter(array_column($stored, 'id'), is_string(...)));
    }

    /** A row to store, or what is wrong with it. */
    private function read(Job $job, User $by, mixed $entry, \DateTimeImmutable $now): LogEntry|Fault
    {
        [$maker, $number] = is_array($entry) ? [$entry['by'] ?? null, $entry['revision'] ?? null] : [null, null];
        if ($maker !== $by->id) {
            return new Fault('by', 'not-yours', "Made by another person than $by->name; it is sent when its maker signs in.");
        }
        $released = $job->revisions->first(
            static fn (Revision $one): bool => ! $one->isDraft() && $one->number === $number,
        );
        if ($released === null) {
            return new Fault('revision', 'not-released', $job->released() === null
                ? 'Nothing of this job is released yet; there is nothing to log against.'
                : 'This revision of the job is not released.');
        }
        $this->steps[$released->id] ??= $this->standing->progress($job, $released)->steps;
        $read = EntryReader::read($entry, $this->steps[$released->id], $by->name, $now);

        if ($read instanceof Fault) {
            return $read;
        }
        $step = array_column($this->steps[$released->id], null, 'id')[$read->stepId];
        $argon = WeldArgon::of($this->plans->of($released), $step, $read->kind, $read->traces);

        return self::row($job, $released, $by, $read, $step, $argon);
    }

    private static function row(
        Job $job,
        Revision $released,
        User $by,
        CoreEntry $entry,
        BenchStep $step,
        WeldArgon $argon,
    ): LogEntry {
        return new LogEntry([
            'id' => $entry->id,
            'job_id' => $job->id,
            'revision_id' => $released->id,
            'user_id' => $by->id,
            ...LogEntry::at($step),
            'kind' => $entry->kind,
            'readings' => $entry->values,
            'note' => $entry->note,
            'made_at' => $entry->at,
            'why' => $entry->why,
            'points' => $entry->points,
            'inspected' => $entry->inspected?->toArray(),
            'traces' => array_map(static fn (Trace $one): array => $one->toArray(), $entry->traces),
            'metered_l' => $argon->meteredL,
            'torch_l' => $argon->torchL,
            'purge_l' => $argon->purgeL,
        ]);
    }

    /**
     * @param  array<string>  $ids
     * @return array<string, LogEntry>
     */
    private static function find(array $ids): array
    {
        $found = [];
        foreach ($ids === [] ? [] : LogEntry::query()->whereIn('id', $ids)->get() as $one) {
            $found[$one->id] = $one;
        }

        return $found;
    }

    private static function isSame(LogEntry $stored, LogEntry $sent): bool
    {
        return [$stored->job_id, $stored->user_id, $stored->step, $stored->kind]
            === [$sent->job_id, $sent->user_id, $sent->step, $sent->kind];
    }

    private static function idOf(mixed $entry): string
    {
        $id = is_array($entry) ? $entry['id'] ?? '' : '';

        return is_string($id) ? mb_substr($id, 0, 60) : '';
    }
}
