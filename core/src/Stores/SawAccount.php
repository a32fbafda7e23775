<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stores;

use UpsweptBead\Core\Cut\CutPlan;
use UpsweptBead\Core\Cut\OpenedStock;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Stock\Internal\Table;

/**
 * What the cuts of a job take on one kind of saw: minutes with deburring, blades and money by the shop's hour.
 *
 * Common practice, with no source beyond it: a friction blade lasts about ten systems, an ordinary band blade about eight
 * cuts in stainless. Minutes, prices and the other saws are defaults to be set by the shop.
 */
final readonly class SawAccount
{
    private function __construct(
        public string $id,
        public string $name,
        public int $cuts,
        public float $minutes,
        public float $blades,
        public float $cost,
    ) {}

    /** @return list<self> every saw, the cheapest for this job first */
    public static function all(CutPlan $cut, Shop $shop): array
    {
        $cuts = array_sum(array_map(
            static fn (OpenedStock $one): int => $one->cuts(),
            $cut->opened($shop->rules),
        ));
        $accounts = [];
        foreach (Table::rows(dirname(__DIR__, 2).'/data/saws.csv') as $row) {
            $minutes = $cuts * (float) $row['minutes_a_cut'];
            $blades = $cuts / (float) $row['cuts_a_blade'];
            $accounts[] = new self(
                $row['id'],
                $row['name'],
                $cuts,
                $minutes,
                $blades,
                $minutes / 60 * $shop->rules->value('cost.hour') + $blades * (float) $row['blade_cost'],
            );
        }
        usort($accounts, static fn (self $a, self $b): int => $a->cost <=> $b->cost);

        return $accounts;
    }
}
