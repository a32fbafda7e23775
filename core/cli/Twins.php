<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use Closure;

/**
 * The same search on each of two processors, from seeds of their own: how well one seed does is much a matter of luck.
 * Where PHP cannot fork, a single search.
 *
 * @template T of object
 */
final readonly class Twins
{
    /** Far from the seeds that people write. */
    private const SECOND_SEED = 7919;

    /**
     * @param  list<T>  $answers  one or two
     */
    private function __construct(public array $answers, public int $peakBytes) {}

    /**
     * @template S of object
     *
     * @param  Closure(int): S  $search  from a seed
     * @param  Closure(S): bool  $isFinal  whether nothing better can come
     * @return self<S>
     */
    public static function of(Closure $search, int $seed, Closure $isFinal): self
    {
        $pair = function_exists('pcntl_fork') ? stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0) : false;
        $child = $pair === false ? -1 : pcntl_fork();
        if ($pair === false || $child === -1) {
            return new self([$search($seed)], memory_get_peak_usage());
        }
        if ($child === 0) {
            fclose($pair[0]);
            fwrite($pair[1], serialize([$search($seed + self::SECOND_SEED), memory_get_peak_usage()]));
            fclose($pair[1]);
            // Ended at once, with nothing of the parent's said twice.
            posix_kill(posix_getpid(), SIGKILL);
        }
        fclose($pair[1]);
        $mine = $search($seed);
        $peak = memory_get_peak_usage();
        if ($isFinal($mine)) {
            posix_kill($child, SIGKILL);
        }
        $said = (string) stream_get_contents($pair[0]);
        fclose($pair[0]);
        pcntl_waitpid($child, $status);
        $theirs = $said === '' ? null : unserialize($said);
        if (! is_array($theirs) || ! ($theirs[0] ?? null) instanceof $mine || ! is_int($theirs[1] ?? null)) {
            return new self([$mine], $peak);
        }

        return new self([$mine, $theirs[0]], $peak + $theirs[1]);
    }
}
