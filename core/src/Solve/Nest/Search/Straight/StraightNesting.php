<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search\Straight;

use Closure;
use UpsweptBead\Core\Solve\Route\Search\Chance;

/**
 * Straight pieces packed into straight stock at the least cost: round the longest piece left the fullest piece of stock
 * each time, then some are emptied and filled otherwise for as long as there is time.
 */
final class StraightNesting
{
    /** Pieces of stock emptied at once, at least and at most. */
    private const EMPTIED = [2, 5];

    /** One piece in so many is passed over in a filling, so that another comes out. */
    private const PASSED = 8;

    private readonly StraightFill $fill;

    /** @var list<array{kind: int, pieces: list<int>, used: int}> */
    private array $bins = [];

    private float $cost = INF;

    private float $evenness = 0.0;

    private readonly float $price;

    /**
     * @param  Closure(): bool  $mayGoOn
     * @param  float  $bound  no packing costs less
     */
    public function __construct(
        private readonly Straights $straights,
        private readonly Chance $chance,
        private readonly Closure $mayGoOn,
        private readonly float $bound,
    ) {
        $this->fill = new StraightFill;
        $prices = [];
        foreach ($straights->donors as $kind => $donor) {
            if ($donor->item->cost > 0.0) {
                $prices[] = $donor->item->cost / max(1, $straights->rooms[$kind]);
            }
        }
        $this->price = $prices === [] ? 0.0 : min($prices);
    }

    /** @return list<array{kind: int, pieces: list<int>, used: int}>|null the best found; null if stock was too little */
    public function best(): ?array
    {
        $order = array_keys($this->straights->pieces);
        usort($order, fn (int $a, int $b): int => $this->straights->pieces[$b] <=> $this->straights->pieces[$a]);
        $first = $this->packed($order, [], false) ?? [];
        if ($first === []) {
            return null;
        }
        $this->keep($first);
        $this->withoutWaste($order);
        while ($this->cost > $this->bound + 1e-6 && ($this->mayGoOn)()) {
            $this->improve();
        }

        return $this->bins;
    }

    /** @param  list<int>  $order */
    private function withoutWaste(array $order): void
    {
        if (count($this->straights->donors) !== 1 || $this->straights->donors[0]->item->count !== null) {
            return;
        }
        $sizes = array_map(fn (int $piece): int => $this->straights->pieces[$piece], $order);
        $room = $this->straights->rooms[0];
        $found = $this->straights->roomFor(0, $sizes[0]) < $room
            ? null
            : FullSticks::of($sizes, $room, $this->chance, $this->mayGoOn);
        if ($found !== null) {
            $this->keep(array_map(static fn (array $places): array => [
                'kind' => 0,
                'pieces' => array_map(static fn (int $at): int => $order[$at], $places),
                'used' => $room,
            ], $found));
        }
    }

    private function improve(): void
    {
        $count = count($this->bins);
        $emptied = min($count, self::EMPTIED[0] + $this->chance->below(self::EMPTIED[1] - self::EMPTIED[0] + 1));
        $out = [];
        while (count($out) < $emptied) {
            $at = $this->chance->below($count);
            // Rather one with much left than one that is full.
            $other = $this->chance->below($count);
            $out[$this->share($other) < $this->share($at) && $this->chance->below(2) === 0 ? $other : $at] = true;
        }
        $pieces = [];
        $kept = array_values(array_diff_key($this->bins, $out));
        foreach (array_keys($out) as $at) {
            array_push($pieces, ...$this->bins[$at]['pieces']);
        }
        usort($pieces, fn (int $a, int $b): int => $this->straights->pieces[$b] <=> $this->straights->pieces[$a]);
        $packed = $this->packed($pieces, $kept, true);
        if ($packed !== null) {
            $this->keep([...$kept, ...$packed]);
        }
    }

    private function share(int $bin): float
    {
        return $this->bins[$bin]['used'] / $this->straights->rooms[$this->bins[$bin]['kind']];
    }

    /** @param  list<array{kind: int, pieces: list<int>, used: int}>  $bins  kept if they cost no more, nor fill more evenly */
    private function keep(array $bins): void
    {
        $cost = $evenness = 0.0;
        foreach ($bins as ['kind' => $kind, 'pieces' => $pieces, 'used' => $used]) {
            $cost += $this->straights->cost($kind, count($pieces), $used);
            $left = $this->straights->rooms[$kind] - $used;
            $evenness += $left * $left;
        }
        // What is left in few places helps to save a whole piece of stock.
        if ($cost < $this->cost - 1e-9 || ($cost < $this->cost + 1e-9 && $evenness >= $this->evenness)) {
            [$this->bins, $this->cost, $this->evenness] = [$bins, $cost, $evenness];
        }
    }

    /**
     * @param  list<int>  $pieces  the longest first
     * @param  list<array{kind: int, pieces: list<int>, used: int}>  $beside  what is packed already
     * @return list<array{kind: int, pieces: list<int>, used: int}>|null
     */
    private function packed(array $pieces, array $beside, bool $byChance): ?array
    {
        $opened = array_count_values(array_column($beside, 'kind'));
        $bins = [];
        while ($pieces !== []) {
            $best = null;
            $least = INF;
            foreach ($this->straights->donors as $kind => $donor) {
                $most = $this->straights->roomFor($kind, $this->straights->pieces[$pieces[0]]);
                $isLeft = $donor->item->count === null || ($opened[$kind] ?? 0) < $donor->item->count;
                if (! $isLeft || $this->straights->pieces[$pieces[0]] > $most) {
                    continue;
                }
                $bin = $this->filled($kind, $pieces, $most, $byChance);
                $worth = $this->straights->cost($kind, count($bin['pieces']), $bin['used'])
                    - $bin['used'] * $this->price
                    - count($bin['pieces']) * $this->straights->rules->cutCost;
                if ($worth < $least) {
                    [$best, $least] = [$bin, $worth];
                }
            }
            if ($best === null) {
                return null;
            }
            $opened[$best['kind']] = ($opened[$best['kind']] ?? 0) + 1;
            $bins[] = $best;
            $pieces = array_values(array_diff($pieces, $best['pieces']));
        }

        return $bins;
    }

    /**
     * @param  list<int>  $pieces
     * @return array{kind: int, pieces: list<int>, used: int}
     */
    private function filled(int $kind, array $pieces, int $most, bool $byChance): array
    {
        $offered = [$pieces[0]];
        foreach (array_slice($pieces, 1) as $piece) {
            if (! $byChance || $this->chance->below(self::PASSED) > 0) {
                $offered[] = $piece;
            }
        }
        $places = $this->fill->with(
            array_map(fn (int $piece): int => $this->straights->pieces[$piece], $offered),
            $most,
        );
        $chosen = array_map(static fn (int $at): int => $offered[$at], $places);

        return [
            'kind' => $kind,
            'pieces' => $chosen,
            'used' => array_sum(array_map(fn (int $piece): int => $this->straights->pieces[$piece], $chosen)),
        ];
    }
}
