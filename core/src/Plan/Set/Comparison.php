<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Set;

use UpsweptBead\Core\Job\DesignSpec;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Plan\Plan;
use UpsweptBead\Core\Plan\Planner;
use UpsweptBead\Core\Plan\StockNeed;
use UpsweptBead\Core\Route\Insertion\Insertion;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Shop\Shop;

/** One whole design beside others: planned in full, with what it takes and what it costs. */
final readonly class Comparison
{
    /**
     * @param  array<string, TubeRun>  $runs  by letter
     * @param  ?Gap  $tightest  where least is left of what is needed
     * @param  array<array-key, StockNeed>  $stock  of all runs, by stock id
     * @param  float  $minutes  at the bench, planned and fitted
     * @param  float  $cost  material to buy and to use, and minutes at the shop's rate
     */
    private function __construct(
        public string $name,
        public DesignSpec $design,
        public array $runs,
        public int $bends,
        public int $oddAngles,
        public int $joints,
        public float $lengthMm,
        public float $spreadMm,
        public float $massKg,
        public int $tooTight,
        public ?Gap $tightest,
        public int $openEnds,
        public ?Insertion $insertion,
        public Style $style,
        public array $stock,
        public float $minutes,
        public float $cost,
    ) {}

    public static function of(Job $job, Shop $shop, DesignSpec $design): self
    {
        $with = Designs::taken($job, $design);
        $plan = Planner::plan($with, $shop);
        $runs = [];
        $bends = $odd = $open = 0;
        $step = $shop->rules->value('route.angle_step');
        foreach ($plan->runs as $one) {
            $open += $one->farEnd === null || ! $one->farEnd->isClosed() ? 1 : 0;
            if ($one->run !== null) {
                $runs[$one->spec->letter] = $one->run;
                $bends += count($one->run->bends);
                foreach ($one->run->bends as $bend) {
                    $odd += abs($bend->angleDeg - round($bend->angleDeg / $step) * $step) > 0.5 ? 1 : 0;
                }
            }
        }
        $lengths = array_map(static fn (TubeRun $run): float => $run->lengthMm(), $runs);
        $stock = self::stock($plan);
        $minutes = self::minutes($plan, $shop);

        return new self(
            $design->name, $design, $runs, $bends, $odd, $plan->jointCount(),
            array_sum($lengths), $lengths === [] ? 0.0 : max($lengths) - min($lengths),
            array_sum(array_map(static fn ($one): float => $one->massKg(), $plan->runs)),
            count(array_filter($plan->set->gaps, static fn (Gap $gap): bool => ! $gap->isKept())), $plan->set->gaps[0] ?? null, $open,
            SetPlan::insertion($with, $shop, $plan->runs), $plan->set->style, $stock, $minutes,
            self::material($stock, $shop) + $minutes / 60 * $shop->rules->value('cost.hour'),
        );
    }

    /** @return array<array-key, StockNeed> */
    private static function stock(Plan $plan): array
    {
        $all = [];
        foreach ($plan->runs as $run) {
            foreach ($run->stock as $need) {
                $all[$need->stockId] = new StockNeed($need->stockId, $need->needed + ($all[$need->stockId]->needed ?? 0), $need->onShelf);
            }
        }
        ksort($all);

        return $all;
    }

    /** What the bench steps are planned to take, and the fitting of every joint. */
    private static function minutes(Plan $plan, Shop $shop): float
    {
        $seconds = array_sum(array_map(static fn ($step): float => $step->seconds ?? 0.0, $plan->steps));

        return $seconds / 60 + $plan->jointCount() * $shop->rules->value('cost.fit_minutes');
    }

    /** @param  array<array-key, StockNeed>  $stock */
    private static function material(array $stock, Shop $shop): float
    {
        $cost = 0.0;
        foreach ($stock as $id => $need) {
            $each = isset($shop->catalogue->bends[$id])
                ? $shop->rules->value('cost.bend')
                : $shop->rules->value('cost.tube_metre') * $shop->rules->value('cut.stock_length') / 1000;
            $cost += $need->needed * $each;
        }

        return $cost;
    }
}
