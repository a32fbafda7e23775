<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Ledger;

use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Shop\Practice\Saw;
use UpsweptBead\Core\Shop\Practice\Shop;

/** What the cuts of a job take on one kind of saw: time with deburring (min), blades, and money by the shop's hour. */
final readonly class SawAccount
{
    private function __construct(
        public Saw $saw,
        public int $cuts,
        public float $minutes,
        public float $blades,
        public float $cost,
    ) {}

    /** @return list<self> every saw, the cheapest for this job first */
    public static function all(int $cuts, Shop $shop): array
    {
        $accounts = [];
        foreach (Saw::cases() as $saw) {
            $rates = Rates::of($shop)->on($saw);
            $minutes = $cuts * $rates->cutMinutes();
            $blades = $rates->blades($cuts);
            $cost = $minutes * $rates->perMinute() + $blades * $rates->bladePrice();
            $accounts[] = new self($saw, $cuts, $minutes, $blades, $cost);
        }
        usort($accounts, static fn (self $a, self $b): int => $a->cost <=> $b->cost);

        return $accounts;
    }
}
