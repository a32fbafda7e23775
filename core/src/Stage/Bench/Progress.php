<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Stage\Bench\Inspection\Rework;
use UpsweptBead\Core\Stage\Step\StepKind;

/** Where a job stands at the bench: the log folded over the plan's steps, in the order the entries were made. */
final readonly class Progress
{
    /** How many notes of a step are kept at hand; all of them stand in the log. Our own figure. */
    public const NOTES = 3;

    /**
     * @param  list<BenchStep>  $steps  of the plan, with what follows from inspections
     * @param  array<string, list<BenchStep>>  $added  what follows from inspections, by the step it stands behind
     * @param  array<string, LogEntry>  $done  the entry that closed each step that is done
     * @param  array<string, array<string, float>>  $readings  what was read at each step, corrections included
     * @param  array<string, list<LogEntry>>  $notes  the newest entries with a note, by step, the oldest of them first
     */
    private function __construct(
        public array $steps,
        public array $added,
        public array $done,
        public array $readings,
        public array $notes,
    ) {}

    /**
     * @param  list<BenchStep>  $steps  of the plan
     * @param  list<LogEntry>  $log  all of it, or at least the entries that no later one makes void
     */
    public static function of(array $steps, array $log): self
    {
        $done = $readings = $notes = [];
        foreach ($log as $entry) {
            if ($entry->kind === EntryKind::Reopen) {
                unset($done[$entry->stepId]);
            }
            if ($entry->kind === EntryKind::Done) {
                $done[$entry->stepId] = $entry;
            }
            if ($entry->values !== []) {
                $readings[$entry->stepId] = [...$readings[$entry->stepId] ?? [], ...$entry->values];
            }
            if ($entry->note !== '') {
                $notes[$entry->stepId] = array_slice([...$notes[$entry->stepId] ?? [], $entry], -self::NOTES);
            }
        }

        $added = Rework::of($steps, $done);
        $all = $added === [] ? $steps : array_merge(...array_map(
            static fn (BenchStep $step): array => [$step, ...$added[$step->id] ?? []],
            $steps,
        ));

        return new self($all, $added, $done, $readings, $notes);
    }

    public function isDone(string $stepId): bool
    {
        return isset($this->done[$stepId]);
    }

    /** The first step that is not done; null when all are. */
    public function next(): ?BenchStep
    {
        foreach ($this->steps as $step) {
            if (! $this->isDone($step->id)) {
                return $step;
            }
        }

        return null;
    }

    public function stepsDone(): int
    {
        return count(array_filter($this->steps, fn (BenchStep $step): bool => $this->isDone($step->id)));
    }

    /**
     * Joints whose weld is logged as done; a side that is welded first, or a weld done again, counts with its joint.
     */
    public function jointsDone(): int
    {
        return count(array_filter(
            $this->steps,
            fn (BenchStep $step): bool => $step->kind === StepKind::Weld
                && $step->round === 1
                && $this->isDone($step->id),
        ));
    }

    /** The newest reading of a measure in the base unit of its quantity; null if there is none. */
    public function reading(string $stepId, string $measure): ?float
    {
        return $this->readings[$stepId][$measure] ?? null;
    }
}
