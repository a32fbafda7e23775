<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * What was made by earlier revisions, held against a later one: what no longer fits counts as not done, and its steps
 * say what lies on the bench and how to go on with it. Everything else stays done.
 */
final readonly class MadeWork
{
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
        $made = new MadeLog($plan, $revision, $earlier, $log);
        [$pieces, $joints] = [$made->piecesOff(), $made->jointsOff()];
        $void = [];
        foreach ($pieces as $piece) {
            $void[$piece->mark] = $void[$piece->made->piece->run] = true;
        }
        foreach ($joints as $joint) {
            $void[$joint->id] = $void[$joint->run] = true;
        }
        if ($void !== []) {
            $void[Task::ALL] = true;
        }
        $isVoid = static fn (LogEntry $one): bool => $one->revision < $revision && isset($void[$one->subject]);
        $keys = array_map(static fn (LogEntry $one): int => $one->revision, array_filter($made->closed, $isVoid));

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
     * @return list<LogEntry> the entries that still count
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
     * @return list<BenchStep> the same steps; each begins with what of it is made already
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
}
