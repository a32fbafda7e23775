<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

/** Where a job stands at the bench: the log folded over the plan's steps, in the order the entries were made. */
final readonly class Progress
{
    /**
     * @param  list<BenchStep>  $steps
     * @param  array<string, LogEntry>  $done  the entry that closed each step that is done
     * @param  array<string, array<string, float>>  $readings  what was read at each step, corrections included
     */
    private function __construct(
        private array $steps,
        public array $done,
        public array $readings,
    ) {}

    /**
     * @param  list<BenchStep>  $steps  of the plan
     * @param  list<LogEntry>  $log  all of it, or at least the entries that no later one makes void
     */
    public static function of(array $steps, array $log): self
    {
        $done = $readings = [];
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
        }

        return new self($steps, $done, $readings);
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

    /** Joints whose weld is logged as done. */
    public function jointsDone(): int
    {
        return count(
            array_filter(
                $this->steps,
                fn (BenchStep $step): bool => $step->kind === StepKind::Weld && $this->isDone($step->id),
            ),
        );
    }

    /** The newest reading of a measure in the base unit of its quantity; null if there is none. */
    public function reading(string $stepId, string $measure): ?float
    {
        return $this->readings[$stepId][$measure] ?? null;
    }
}
