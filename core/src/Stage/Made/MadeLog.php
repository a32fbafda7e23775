<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Stage\Cut\WrongLength;
use UpsweptBead\Core\Stage\Step\StepKind;

/** What a log says was made, by which revision, and how it does by a later plan. */
final readonly class MadeLog
{
    /** The last of these that was done decides how a joint stands. */
    private const AT_JOINT = [StepKind::Weld, StepKind::Side, StepKind::Tack];

    /** @var array<string, LogEntry> the entry that closed each step that is closed */
    public array $closed;

    /** @var array<string, LogEntry> by step, the entry that says how long a piece was cut */
    private array $lengths;

    /**
     * @param  array<int, Outline>  $earlier  plans that work was done by, by revision
     * @param  list<LogEntry>  $log
     */
    public function __construct(
        private Outline $plan,
        private int $revision,
        private array $earlier,
        array $log,
    ) {
        $closed = $lengths = [];
        foreach ($log as $entry) {
            if ($entry->kind === EntryKind::Done) {
                $closed[$entry->stepId] = $entry;
            } elseif ($entry->kind === EntryKind::Reopen) {
                unset($closed[$entry->stepId]);
            }
            if (isset($entry->values['length'])) {
                $lengths[$entry->stepId] = $entry;
            }
        }
        $this->closed = $closed;
        $this->lengths = $lengths;
    }

    /** @return list<PieceStanding> pieces that were made by earlier revisions and do not stay */
    public function piecesOff(): array
    {
        $made = $this->madeBy();
        $staying = $this->staying();
        $off = [];
        foreach ($made as $mark => $at) {
            $standing = $at < $this->revision ? $this->standing($mark, $at, $staying) : null;
            if ($standing !== null) {
                $off[] = $standing;
            }
        }

        return $off;
    }

    /** @return list<JointStanding> joints that were tacked or welded by earlier revisions and do not stay */
    public function jointsOff(): array
    {
        $staying = $this->staying();
        $off = [];
        foreach ($this->atJoints() as $id => [$kind, $at]) {
            $then = $this->earlier[$at]->joints[$id] ?? null;
            if ($then === null || $at >= $this->revision) {
                continue;
            }
            $now = $this->plan->joints[$id] ?? null;
            $isOff = fn (string $mark): bool => $this->standing($mark, $at, $staying) !== null;
            $pieces = array_values(array_filter($then->parts, $isOff));
            $differences = [
                ...$now === null ? [new Difference(DifferenceKind::Gone)] : $then->against($now),
                ...$this->isSameCollector($at, $then->run) ? [] : [new Difference(DifferenceKind::Collector)],
                ...$pieces === [] ? [] : [new Difference(DifferenceKind::Piece)],
            ];
            if ($differences !== []) {
                $isWelded = $kind !== StepKind::Tack;
                $off[] = new JointStanding($id, $then->run, $isWelded, $now !== null, $differences, $pieces);
            }
        }

        return $off;
    }

    /** @return array<string, int> by the mark of each piece that is cut, the revision it was cut by */
    private function madeBy(): array
    {
        $made = [];
        foreach ([...array_values($this->earlier), $this->plan] as $plan) {
            foreach (array_keys($plan->pieces) as $mark) {
                $entry = $this->closed[StepKind::Prepare->key($mark)] ?? null;
                if ($entry !== null) {
                    $made[$mark] = $entry->revision;
                }
            }
        }

        return $made;
    }

    /**
     * What does not stay leaves its place to others, which may be cut longer or out of another piece.
     *
     * @return list<string> marks of the pieces that are cut and stay
     */
    private function staying(): array
    {
        $made = $this->madeBy();
        $marks = array_keys($made);

        $isStaying = fn (string $mark): bool => $made[$mark] >= $this->revision
            || $this->standing($mark, $made[$mark], $marks) === null;

        return array_values(array_filter($marks, $isStaying));
    }

    /** @return array<string, array{StepKind, int}> by joint, what was done at it last, and by which revision */
    private function atJoints(): array
    {
        $at = [];
        foreach ($this->earlier as $plan) {
            foreach (array_keys($plan->joints) as $id) {
                foreach (self::AT_JOINT as $kind) {
                    $entry = $this->closed[$kind->key($id)] ?? null;
                    if ($entry !== null) {
                        $at[$id] ??= [$kind, $entry->revision];
                    }
                }
            }
        }

        return $at;
    }

    /**
     * How a piece made by one revision does by the plan: null where it stays. As planned then and now it is as good as it
     * was; a wrong length was told at the saw.
     *
     * @param  list<string>  $staying
     */
    private function standing(string $mark, int $at, array $staying): ?PieceStanding
    {
        $then = $this->earlier[$at] ?? null;
        $piece = $then->pieces[$mark] ?? null;
        if ($then === null || $piece === null) {
            return null;
        }
        $tubeId = $then->tubeOf($mark);
        $now = $this->plan->pieces[$mark] ?? null;
        if ($now !== null && (new MadePiece($piece, $tubeId, 0.0))->as($now, $this->plan->tubeOf($mark))->isSame()) {
            return null;
        }
        $read = $this->lengths[StepKind::Prepare->key($mark)] ?? null;
        $offMm = $read !== null && $read->revision === $at ? $read->values['length'] - $piece->cutLengthMm() : 0.0;
        $isNear = abs($offMm) <= WrongLength::NEAR_MM;

        $made = new MadePiece($piece, $tubeId, $isNear ? 0.0 : $offMm);

        return PieceStanding::of($mark, $at, $made, $this->plan, $staying);
    }

    /** Whether a collector is the same by both plans; true for a run. */
    private function isSameCollector(int $at, string $letter): bool
    {
        $before = $this->earlier[$at]->collectors[$letter] ?? null;
        $after = $this->plan->collectors[$letter] ?? null;

        return $before === null || $after !== null && $before->isLike($after);
    }
}
