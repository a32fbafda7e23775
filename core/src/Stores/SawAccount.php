<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stores;

use UpsweptBead\Core\Cut\CutPlan;
use UpsweptBead\Core\Cut\OpenedStock;
use UpsweptBead\Core\Shop\Shop;

/**
 * What the cuts of a job take on one kind of saw: minutes with deburring, blades and money by the shop's hour. Minutes,
 * cuts of a blade and its price are the shop's rules.
 */
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
    public static function all(CutPlan $cut, Shop $shop): array
    {
        $rules = $shop->rules;
        $cuts = array_sum(array_map(static fn (OpenedStock $one): int => $one->cuts(), $cut->opened($rules)));
        $accounts = [];
        foreach (Saw::cases() as $saw) {
            $minutes = $cuts * $rules->value("saw.$saw->value.minutes");
            // A blade makes one cut at least, whatever is entered.
            $blades = $cuts / max(1.0, $rules->value("saw.$saw->value.cuts"));
            $cost = $minutes / 60 * $rules->value('cost.hour') + $blades * $rules->value("saw.$saw->value.price");
            $accounts[] = new self($saw, $cuts, $minutes, $blades, $cost);
        }
        usort($accounts, static fn (self $a, self $b): int => $a->cost <=> $b->cost);

        return $accounts;
    }
}
