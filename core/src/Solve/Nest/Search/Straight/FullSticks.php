<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search\Straight;

use UpsweptBead\Core\Solve\Route\Search\Chance;

/**
 * Sets of straight pieces without any waste: all combinations of up to four pieces that use a stick up exactly, and of
 * those some that hold every piece once (an exact cover; the piece with the fewest combinations left is decided first,
 * by the combination whose pieces are in the fewest others).
 */
final class FullSticks
{
    private const MOST_COMBINATIONS = 12_000;

    /** Decisions of one try before another is begun. */
    private const PATIENCE = 3000;

    /** @var list<list<int>> pieces of each combination */
    private array $sets = [];

    /** @var list<list<int>> combinations of each piece */
    private array $of = [];

    /** @var array<int, bool> by combination */
    private array $isOut = [];

    /** @var array<int, int> combinations left, by piece */
    private array $left = [];

    /** @var array<int, bool> by piece */
    private array $isIn = [];

    private int $patience = 0;

    /**
     * @param  list<int>  $sizes  each with its kerf, the longest first
     * @param  \Closure(): bool  $mayGoOn
     */
    private function __construct(
        private readonly array $sizes,
        private readonly int $room,
        private readonly Chance $chance,
        private readonly \Closure $mayGoOn,
    ) {
        $this->combine();
    }

    /**
     * @param  list<int>  $sizes  each with its kerf, the longest first
     * @param  \Closure(): bool  $mayGoOn
     * @return list<list<int>>|null places in the list, stick by stick; null if there is no such set or none was found
     */
    public static function of(array $sizes, int $room, Chance $chance, \Closure $mayGoOn): ?array
    {
        if (array_sum($sizes) % $room !== 0) {
            return null;
        }
        $self = new self($sizes, $room, $chance, $mayGoOn);
        while (count($self->sets) <= self::MOST_COMBINATIONS && ! in_array([], $self->of, true)) {
            $found = $self->tried();
            if ($found !== null) {
                return $found;
            }
            if ($self->patience > 0 || ! $mayGoOn()) {
                return null;
            }
        }

        return null;
    }

    private function combine(): void
    {
        $this->of = array_fill(0, count($this->sizes), []);
        $bySize = [];
        foreach ($this->sizes as $i => $size) {
            $bySize[$size][] = $i;
        }
        $this->extend([], -1, $this->room, $bySize);
        foreach ($this->sets as $set => $pieces) {
            foreach ($pieces as $piece) {
                $this->of[$piece][] = $set;
            }
        }
    }

    /**
     * @param  list<int>  $chosen
     * @param  array<int, list<int>>  $bySize
     */
    private function extend(array $chosen, int $last, int $left, array $bySize): void
    {
        foreach ($bySize[$left] ?? [] as $i) {
            if ($i > $last) {
                $this->sets[] = [...$chosen, $i];
            }
        }
        if (count($chosen) === 3) {
            return;
        }
        for ($i = $last + 1; $i < count($this->sizes) && count($this->sets) <= self::MOST_COMBINATIONS; $i++) {
            if ($chosen === [] && ! ($this->mayGoOn)()) {
                return;
            }
            // As the longest come first, what is left after this one must hold at least the shortest.
            $rest = $left - $this->sizes[$i];
            if ($rest >= $this->sizes[count($this->sizes) - 1] && $rest <= $this->sizes[$i] * (3 - count($chosen))) {
                $this->extend([...$chosen, $i], $i, $rest, $bySize);
            }
        }
    }

    /** @return list<list<int>>|null one try, the patience 0 if it ended before everything was tried */
    private function tried(): ?array
    {
        $this->patience = self::PATIENCE;
        $this->isOut = array_fill(0, count($this->sets), false);
        $this->isIn = array_fill(0, count($this->sizes), false);
        $this->left = array_map(count(...), $this->of);
        $chosen = $this->decide(count($this->sizes));

        return $chosen === null ? null : array_map(fn (int $set): array => $this->sets[$set], $chosen);
    }

    /** @return list<int>|null the combinations that hold what is left */
    private function decide(int $pieces): ?array
    {
        if ($pieces === 0) {
            return [];
        }
        if ($this->patience <= 0) {
            return null;
        }
        $this->patience--;
        $next = $this->fewest();
        $order = [];
        foreach ($next === null ? [] : $this->of[$next] as $set) {
            if (! $this->isOut[$set]) {
                $others = 0;
                foreach ($this->sets[$set] as $piece) {
                    $others += $this->left[$piece];
                }
                $order[$set] = $others + 3 * $this->chance->share();
            }
        }
        asort($order);
        foreach (array_keys($order) as $set) {
            $out = $this->take($set);
            $rest = $this->decide($pieces - count($this->sets[$set]));
            if ($rest !== null) {
                return [$set, ...$rest];
            }
            $this->putBack($set, $out);
            if ($this->patience <= 0) {
                return null;
            }
        }

        return null;
    }

    /** The piece with the fewest combinations left; null if one has none. */
    private function fewest(): ?int
    {
        $least = PHP_INT_MAX;
        $found = null;
        foreach ($this->left as $piece => $left) {
            if ($left < $least && ! $this->isIn[$piece]) {
                if ($left === 0) {
                    return null;
                }
                [$least, $found] = [$left, $piece];
            }
        }

        return $found;
    }

    /** @return list<int> the combinations that are out of the question now */
    private function take(int $set): array
    {
        $out = [];
        foreach ($this->sets[$set] as $piece) {
            $this->isIn[$piece] = true;
            foreach ($this->of[$piece] as $other) {
                if (! $this->isOut[$other]) {
                    $this->isOut[$other] = true;
                    $out[] = $other;
                    foreach ($this->sets[$other] as $one) {
                        $this->left[$one]--;
                    }
                }
            }
        }

        return $out;
    }

    /** @param  list<int>  $out */
    private function putBack(int $set, array $out): void
    {
        foreach ($out as $other) {
            $this->isOut[$other] = false;
            foreach ($this->sets[$other] as $one) {
                $this->left[$one]++;
            }
        }
        foreach ($this->sets[$set] as $piece) {
            $this->isIn[$piece] = false;
        }
    }
}
