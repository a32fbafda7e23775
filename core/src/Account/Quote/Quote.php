<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Quote;

use UpsweptBead\Core\Account\Ledger\Consumable;
use UpsweptBead\Core\Account\Ledger\Labour;
use UpsweptBead\Core\Account\Ledger\Ledger;
use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Account\Stores\Need;
use UpsweptBead\Core\Job\Procedure\OutsideWork;
use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Plan\Plan;

/**
 * What a job is offered for: what its ledger says it takes, at the shop's prices; what others do; and a margin on all
 * of it. Common practice.
 */
final readonly class Quote
{
    /**
     * @param  list<QuoteLine>  $lines
     * @param  float  $marginPercent  on the sum of all lines
     * @param  array<string, float>  $prices  that were said for this job, of one, by key
     * @param  float  $taxPercent  on the price; 0 where it goes without
     */
    public function __construct(
        public array $lines,
        public float $marginPercent,
        private array $prices = [],
        public float $taxPercent = 0.0,
    ) {}

    public static function of(Plan $plan, Ledger $ledger, Shop $shop): self
    {
        return (new self([
            ...self::goods($ledger, $shop),
            ...self::used($ledger),
            ...self::labour($plan, $ledger, $shop),
            ...array_map(static fn (int $i, OutsideWork $one): QuoteLine => new QuoteLine(
                'outside.'.($i + 1),
                LineGroup::Outside,
                $one->what,
                1.0,
                '',
                $one->cost,
            ), array_keys($plan->job->outside), $plan->job->outside),
        ], $shop->rules->value('cost.margin'), $plan->job->prices, $shop->rules->value('cost.tax')))->at([]);
    }

    /**
     * With what things really cost, where the stores know it; what was said for this job goes before that.
     *
     * @param  array<string, float>  $costs  of one unit, by key
     */
    public function at(array $costs): self
    {
        return new self(array_map(
            fn (QuoteLine $line): QuoteLine => $line->at(
                $this->prices[$line->key] ?? $costs[$line->key] ?? $line->each,
            ),
            $this->lines,
        ), $this->marginPercent, $this->prices, $this->taxPercent);
    }

    public function cost(): float
    {
        return array_sum(array_map(static fn (QuoteLine $line): float => $line->cost() ?? 0.0, $this->lines));
    }

    /** At the bench. */
    public function minutes(): float
    {
        $labour = array_filter($this->lines, static fn (QuoteLine $line): bool => $line->group === LineGroup::Labour);

        return array_sum(array_map(static fn (QuoteLine $line): float => $line->quantity, $labour));
    }

    public function margin(): float
    {
        return $this->cost() * $this->marginPercent / 100;
    }

    /** Without tax. */
    public function price(): float
    {
        return $this->cost() + $this->margin();
    }

    public function tax(): float
    {
        return $this->price() * $this->taxPercent / 100;
    }

    /** @return array<string, string> what nobody has said the price of, by key: the quote is without it */
    public function unpriced(): array
    {
        $without = array_filter($this->lines, static fn (QuoteLine $line): bool => $line->each === null);

        return array_column($without, 'what', 'key');
    }

    /** @return list<QuoteLine> argon is charged by what flows, not by the bottles that have to be there */
    private static function goods(Ledger $ledger, Shop $shop): array
    {
        $goods = array_values(array_filter(
            $ledger->goods,
            static fn (Need $need): bool => $need->kind !== ItemKind::Gas,
        ));

        return array_map(static fn (Need $need): QuoteLine => new QuoteLine(
            $need->key,
            $need->kind === ItemKind::Wire ? LineGroup::Consumables : LineGroup::Material,
            $need->name,
            $need->quantity,
            $need->kind->unit($need->quantity),
            $need->kind === ItemKind::Wire ? $shop->rules->value('cost.wire_kg') : $need->usualCost,
        ), $goods);
    }

    /** @return list<QuoteLine> */
    private static function used(Ledger $ledger): array
    {
        return array_map(static fn (Consumable $one): QuoteLine => new QuoteLine(
            $one->key,
            LineGroup::Consumables,
            $one->name,
            $one->quantity,
            $one->unit,
            $one->each,
            $one->why,
        ), $ledger->used);
    }

    /** @return list<QuoteLine> */
    private static function labour(Plan $plan, Ledger $ledger, Shop $shop): array
    {
        $perMinute = Rates::of($shop)->perMinute();
        $minutes = $ledger->minutes($plan->steps);
        $lines = [];
        foreach (Labour::cases() as $labour) {
            if (isset($minutes[$labour->value])) {
                $lines[] = new QuoteLine(
                    $labour->key(),
                    LineGroup::Labour,
                    $labour->label(),
                    $minutes[$labour->value],
                    'min',
                    $perMinute,
                );
            }
        }

        return $lines;
    }
}
