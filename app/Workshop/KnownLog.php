<?php

declare(strict_types=1);

namespace App\Workshop;

use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\LogEntry as CoreEntry;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Stage\Made\MadeWork;

/**
 * What a job's log says up to a place in it: where the job stands and its newest lines. What was logged after that
 * place is added to it, so that nothing is read twice.
 */
final readonly class KnownLog
{
    /**
     * @param  list<LogRow>  $newest  the last lines, at most a page of them, the oldest first
     * @param  list<LogRow>  $deciding  the entries that no later one makes void, in the order they arrived
     * @param  int  $count  of all entries there are
     */
    public function __construct(public array $newest, private array $deciding, private int $count) {}

    /** The place of the newest entry among all that were ever made; 0 for none. */
    public function position(): int
    {
        return $this->last()->position ?? 0;
    }

    public function last(): ?LogRow
    {
        return $this->newest === [] ? null : $this->newest[count($this->newest) - 1];
    }

    /** @param  list<LogRow>  $rows  all that was logged after, in the order it arrived */
    public function with(array $rows): self
    {
        return $rows === [] ? $this : new self(
            array_slice([...$this->newest, ...$rows], -JobLog::PAGE),
            self::standing([...$this->deciding, ...$rows]),
            $this->count + count($rows),
        );
    }

    /** @return list<CoreEntry> those that decide where the job stands, in the order they arrived */
    public function entries(): array
    {
        return array_map(static fn (LogRow $row): CoreEntry => $row->entry(), $this->deciding);
    }

    /** Where the job stands, by the steps of a plan of it and what earlier ones made of it. */
    public function progress(KnownPlan $plan, MadeWork $made): Progress
    {
        return Progress::of($made->telling($plan->steps, $plan->units), $made->counting($this->entries()));
    }

    /** @return array{lines: list<array<string, mixed>>, earlier: int} the newest lines and how many there are before them */
    public function page(): array
    {
        return [
            'lines' => array_map(static fn (LogRow $row): array => $row->line(), $this->newest),
            'earlier' => $this->count - count($this->newest),
        ];
    }

    /**
     * Of each step the last entry that closed or opened it, the last that gave each of its readings, and the last with
     * a note.
     *
     * @param  list<LogRow>  $rows
     * @return list<LogRow>
     */
    private static function standing(array $rows): array
    {
        $last = $notes = [];
        foreach ($rows as $i => $row) {
            if ($row->note !== '') {
                $notes[$row->step] = array_slice([...$notes[$row->step] ?? [], $i], -Progress::NOTES);
            }
            if ($row->kind === EntryKind::Done || $row->kind === EntryKind::Reopen) {
                $last["$row->step closing"] = $i;
            }
            foreach (array_keys($row->readings) as $measure) {
                $last["$row->step reading $measure"] = $i;
            }
        }
        $kept = array_unique(array_merge(array_values($last), ...array_values($notes)));
        sort($kept);

        return array_map(static fn (int $i): LogRow => $rows[$i], $kept);
    }
}
