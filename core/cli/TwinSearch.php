<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Solve\Route\Search\SetAnswer;
use UpsweptBead\Core\Solve\Route\Search\SetSolver;
use UpsweptBead\Core\Solve\Route\Search\SetStatus;

/** A route search from two seeds side by side, and the better answer of the two. */
final readonly class TwinSearch
{
    private function __construct(public SetAnswer $answer, public int $peakBytes) {}

    public static function solve(RouteProblem $problem, float $seconds, int $seed): self
    {
        $twins = Twins::of(
            static fn (int $seed): SetAnswer => (new SetSolver($problem, $seed, static fn (): float => hrtime(true) / 1e9))
                ->solve($seconds),
            $seed,
            static fn (SetAnswer $answer): bool => $answer->status === SetStatus::Infeasible,
        );

        return new self(
            isset($twins->answers[1]) ? self::better(...$twins->answers) : $twins->answers[0],
            $twins->peakBytes,
        );
    }

    /** The first answer counts from whichever had one first. */
    private static function better(SetAnswer $mine, SetAnswer $theirs): SetAnswer
    {
        if ($theirs->status !== SetStatus::Solved || $mine->status === SetStatus::Infeasible) {
            return $mine;
        }
        if ($mine->status !== SetStatus::Solved) {
            return $theirs;
        }
        $best = $theirs->objective < $mine->objective - 1e-9 ? $theirs : $mine;

        return new SetAnswer(
            $best->status,
            $best->ways,
            $best->objective,
            $best->reasons,
            $best->nearest,
            min($mine->firstSeconds, $theirs->firstSeconds),
            $best->bestSeconds,
        );
    }
}
