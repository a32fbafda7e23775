<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use UpsweptBead\Core\Route\Problem\RouteProblem;
use UpsweptBead\Core\Route\Search\SetAnswer;
use UpsweptBead\Core\Route\Search\SetSolver;
use UpsweptBead\Core\Route\Search\SetStatus;

/**
 * One search on each of two processors, from seeds of their own, and the better answer of the two: how well one seed
 * does is much a matter of luck. Where PHP cannot fork, a single search.
 */
final readonly class TwinSearch
{
    /** Far from the seeds that people write. */
    private const SECOND_SEED = 7919;

    private function __construct(public SetAnswer $answer, public int $peakBytes) {}

    public static function solve(RouteProblem $problem, float $seconds, int $seed): self
    {
        $pair = function_exists('pcntl_fork') ? stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0) : false;
        $child = $pair === false ? -1 : pcntl_fork();
        if ($pair === false || $child === -1) {
            return new self(self::single($problem, $seconds, $seed), memory_get_peak_usage());
        }
        if ($child === 0) {
            fclose($pair[0]);
            fwrite(
                $pair[1],
                serialize([self::single($problem, $seconds, $seed + self::SECOND_SEED), memory_get_peak_usage()]),
            );
            fclose($pair[1]);
            // Ended at once, with nothing of the parent's said twice.
            posix_kill(posix_getpid(), SIGKILL);
        }
        fclose($pair[1]);
        $mine = self::single($problem, $seconds, $seed);
        $peak = memory_get_peak_usage();
        if ($mine->status === SetStatus::Infeasible) {
            posix_kill($child, SIGKILL);
        }
        $said = (string) stream_get_contents($pair[0]);
        fclose($pair[0]);
        pcntl_waitpid($child, $status);
        $theirs = $said === '' ? null : unserialize($said);
        if (! is_array($theirs) || ! ($theirs[0] ?? null) instanceof SetAnswer || ! is_int($theirs[1] ?? null)) {
            return new self($mine, $peak);
        }

        return new self(self::better($mine, $theirs[0]), $peak + $theirs[1]);
    }

    private static function single(RouteProblem $problem, float $seconds, int $seed): SetAnswer
    {
        return (new SetSolver($problem, $seed, static fn (): float => hrtime(true) / 1e9))->solve($seconds);
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
