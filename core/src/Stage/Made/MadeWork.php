<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Stage\Cut\WrongLength;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * What was made by earlier revisions, held against a later one: what no longer fits counts as not done, and its steps
 * say what lies on the bench and how to go on with it. Everything else stays done.
 */
final readonly class MadeWork
{
    /** In which order a joint is made: what was done last decides how it stands. */
    private const AT_JOINT = [StepKind::Weld, StepKind::Side, StepKind::Tack];

    /**
     * @param  list<PieceStanding>  $pieces  that no longer fit
     * @param  list<JointStanding>  $joints  that cannot stay
     * @param  array<string, true>  $void  pieces, joints, runs and collectors whose steps count no longer
     * @param  array<string, int>  $keys  of the steps that are closed and count no longer, with the revision they were done by
     */
    private function __construct(
        private int $revision,
        public array $pieces,
        public array $joints,
        private array $void,
        public array $keys,
    ) {}

    /**
     * @param  int  $revision  of the later plan
     * @param  array<int, Outline>  $earlier  plans that work was done by, by revision
     * @param  list<LogEntry>  $log
     */
    public static function of(Outline $plan, int $revision, array $earlier, array $log): self
    {
        $closed = self::closed($log);
        $lengths = self::lengths($log);
        $made = self::made($closed, [...array_values($earlier), $plan]);
        $standingOf = static fn (string $mark, int $at): ?PieceStanding => isset($earlier[$at]->pieces[$mark])
            ? self::standing($mark, $at, self::asMade($mark, $at, $earlier[$at], $lengths), $plan, $made)
            : null;
        $pieces = $joints = $void = [];
        foreach ($made as $mark) {
            $at = $closed[StepKind::Prepare->key($mark)]->revision;
            $standing = $at < $revision ? $standingOf($mark, $at) : null;
            if ($standing !== null) {
                $pieces[] = $standing;
                $void[$mark] = $void[$standing->made->piece->run] = true;
            }
        }
        foreach (self::atJoints($closed, $earlier) as $id => [$kind, $entry]) {
            $then = $earlier[$entry->revision]->joints[$id] ?? null;
            if ($then === null || $entry->revision >= $revision) {
                continue;
            }
            $now = $plan->joints[$id] ?? null;
            $isOff = static fn (string $mark): bool => $standingOf($mark, $entry->revision) !== null;
            $off = array_values(array_filter($then->parts, $isOff));
            $differences = [
                ...$now === null ? [new Difference(DifferenceKind::Gone)] : $then->against($now),
                ...self::isLike($earlier[$entry->revision], $plan, $then->run)
                    ? []
                    : [new Difference(DifferenceKind::Collector)],
                ...$off === [] ? [] : [new Difference(DifferenceKind::Piece)],
            ];
            if ($differences !== []) {
                $isWelded = $kind !== StepKind::Tack;
                $joints[] = new JointStanding($id, $then->run, $isWelded, $now !== null, $differences, $off);
                $void[$id] = $void[$then->run] = true;
            }
        }
        if ($void !== []) {
            $void[Task::ALL] = true;
        }
        $isVoid = static fn (LogEntry $one): bool => $one->revision < $revision && isset($void[$one->subject]);

        $keys = array_map(static fn (LogEntry $one): int => $one->revision, array_filter($closed, $isVoid));

        return new self($revision, $pieces, $joints, $void, $keys);
    }

    /** Where nothing was made by an earlier revision. */
    public static function none(): self
    {
        return new self(0, [], [], [], []);
    }

    public function isNone(): bool
    {
        return $this->void === [];
    }

    /** @return list<string> marks of pieces that are worked over, not made again */
    public function kept(): array
    {
        $kept = array_filter($this->pieces, static fn (PieceStanding $one): bool => ! $one->isLost);

        return array_values(array_map(static fn (PieceStanding $one): string => $one->mark, $kept));
    }

    /**
     * @param  list<LogEntry>  $log
     * @return list<LogEntry> what of it still counts
     */
    public function counting(array $log): array
    {
        return $this->isNone() ? $log : array_values(array_filter(
            $log,
            fn (LogEntry $one): bool => $one->revision >= $this->revision || ! isset($this->void[$one->subject]),
        ));
    }

    /**
     * @param  list<BenchStep>  $steps
     * @return list<BenchStep> the same, with what is told where something is made already
     */
    public function telling(array $steps, UnitSystem $units): array
    {
        if ($this->isNone()) {
            return $steps;
        }
        $words = new MadeWords($units);
        $told = [];
        foreach ($this->pieces as $piece) {
            $told[StepKind::Prepare->key($piece->mark)] = $words->ofPiece($piece);
        }
        foreach ($this->joints as $joint) {
            $told[StepKind::Tack->key($joint->id)] = $words->ofJoint($joint);
        }

        return array_map(static fn (BenchStep $step): BenchStep => $step->told($told[$step->id] ?? []), $steps);
    }

    /**
     * @param  list<LogEntry>  $log
     * @return array<string, LogEntry> the entry that closed each step that is closed
     */
    private static function closed(array $log): array
    {
        $closed = [];
        foreach ($log as $entry) {
            if ($entry->kind === EntryKind::Done) {
                $closed[$entry->stepId] = $entry;
            } elseif ($entry->kind === EntryKind::Reopen) {
                unset($closed[$entry->stepId]);
            }
        }

        return $closed;
    }

    /**
     * @param  list<LogEntry>  $log
     * @return array<string, LogEntry> by mark, the entry that says how long a piece was cut
     */
    private static function lengths(array $log): array
    {
        $lengths = [];
        foreach ($log as $entry) {
            if (isset($entry->values['length'])) {
                $lengths[$entry->stepId] = $entry;
            }
        }

        return $lengths;
    }

    /**
     * @param  array<string, LogEntry>  $closed
     * @param  list<Outline>  $plans
     * @return list<string> marks of all pieces that are cut
     */
    private static function made(array $closed, array $plans): array
    {
        $marks = array_merge(...array_map(static fn (Outline $one): array => array_keys($one->pieces), $plans));

        return array_values(array_filter(
            array_unique($marks),
            static fn (string $mark): bool => isset($closed[StepKind::Prepare->key($mark)]),
        ));
    }

    /**
     * @param  array<string, LogEntry>  $closed
     * @param  array<int, Outline>  $earlier
     * @return array<string, array{StepKind, LogEntry}> by joint
     */
    private static function atJoints(array $closed, array $earlier): array
    {
        $at = [];
        foreach ($earlier as $plan) {
            foreach (array_keys($plan->joints) as $id) {
                foreach (self::AT_JOINT as $kind) {
                    if (! isset($at[$id]) && isset($closed[$kind->key($id)])) {
                        $at[$id] = [$kind, $closed[$kind->key($id)]];
                    }
                }
            }
        }

        return $at;
    }

    /** @param  array<string, LogEntry>  $lengths */
    private static function asMade(string $mark, int $at, Outline $then, array $lengths): MadePiece
    {
        $piece = $then->pieces[$mark];
        $read = $lengths[StepKind::Prepare->key($mark)] ?? null;
        $offMm = $read !== null && $read->revision === $at ? $read->values['length'] - $piece->cutLengthMm() : 0.0;

        return new MadePiece($piece, $then->tubeOf($mark), abs($offMm) <= WrongLength::NEAR_MM ? 0.0 : $offMm);
    }

    /**
     * As planned then and now it is as good as it was: a wrong length was told at the saw.
     *
     * @param  list<string>  $made
     */
    private static function standing(
        string $mark,
        int $at,
        MadePiece $piece,
        Outline $plan,
        array $made,
    ): ?PieceStanding {
        $now = $plan->pieces[$mark] ?? null;
        $asPlanned = new MadePiece($piece->piece, $piece->tubeId, 0.0);

        return $now !== null && $asPlanned->as($now, $plan->tubeOf($mark))->isSame()
            ? null
            : PieceStanding::of($mark, $at, $piece, $plan, $made);
    }

    /** Whether a collector is the same by both plans; true for a run. */
    private static function isLike(Outline $then, Outline $now, string $letter): bool
    {
        $before = $then->collectors[$letter] ?? null;
        $after = $now->collectors[$letter] ?? null;

        return $before === null || $after !== null && $before->isLike($after);
    }
}
