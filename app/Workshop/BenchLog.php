<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\LogEntry;
use App\Models\Revision;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Bench\BenchStep;
use UpsweptBead\Core\Bench\EntryReader;
use UpsweptBead\Core\Bench\LogEntry as CoreEntry;
use UpsweptBead\Core\Document\Fault;

/**
 * Takes entries from the bench, each for itself. One that is already there changes nothing, so sending twice is safe.
 */
final class BenchLog
{
    /** @var array<int, list<BenchStep>> by the id of a release */
    private array $steps = [];

    public function __construct(private readonly KnownPlans $plans) {}

    /**
     * @param  list<mixed>  $entries  decoded, as they came
     * @return list<Taken> what became of each, in their order
     */
    public function take(Job $job, User $by, array $entries, \DateTimeImmutable $now): array
    {
        $read = array_map(fn (mixed $entry): LogEntry|Fault => $this->read($job, $by, $entry, $now), $entries);
        $rows = array_values(array_filter($read, static fn (LogEntry|Fault $one): bool => $one instanceof LogEntry));
        [$before, $after] = DB::transaction(static function () use ($rows): array {
            $ids = array_map(static fn (LogEntry $row): string => $row->id, $rows);
            $before = self::find($ids);
            LogEntry::query()->insertOrIgnore(array_map(static fn (LogEntry $row): array => $row->getAttributes(), $rows));

            return [$before, self::find($ids)];
        });

        return array_map(static fn (mixed $entry, LogEntry|Fault $one): Taken => match (true) {
            $one instanceof Fault => Taken::refused(self::idOf($entry), $one),
            ! isset($after[$one->id]) || ! self::isSame($after[$one->id], $one) => Taken::refused(
                $one->id,
                new Fault('id', 'taken', 'This id belongs to another entry; make the entry again.'),
            ),
            isset($before[$one->id]) => Taken::known($one->id),
            default => Taken::stored($one->id),
        }, $entries, $read);
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
        $this->steps[$released->id] ??= $this->plans->of($released)->steps;
        $read = EntryReader::read($entry, $this->steps[$released->id], $by->name, $now);

        return $read instanceof Fault ? $read : self::row($job, $released, $by, $read);
    }

    private static function row(Job $job, Revision $released, User $by, CoreEntry $entry): LogEntry
    {
        return new LogEntry([
            'id' => $entry->id,
            'job_id' => $job->id,
            'revision_id' => $released->id,
            'user_id' => $by->id,
            'step' => $entry->stepId,
            'kind' => $entry->kind,
            'readings' => $entry->values,
            'note' => $entry->note,
            'made_at' => $entry->at,
        ]);
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, LogEntry>
     */
    private static function find(array $ids): array
    {
        $found = [];
        foreach (LogEntry::query()->whereIn('id', $ids)->get() as $one) {
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
