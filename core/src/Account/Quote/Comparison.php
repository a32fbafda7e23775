<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Quote;

use UpsweptBead\Core\Account\Ledger\Ledger;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Set\Designs;
use UpsweptBead\Core\Job\Set\DesignSpec;
use UpsweptBead\Core\Shop\Practice\RoutingLimits;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Stage\Layout\Gap;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;

/** One whole design beside others: planned in full, with what it takes and what it costs. */
final readonly class Comparison
{
    private function __construct(
        public DesignSpec $design,
        public Plan $plan,
        public Quote $quote,
        private RoutingLimits $limits,
    ) {}

    /** @param  array<string, float>  $costs  what things really cost, by key, where the stores know it */
    public static function of(Job $job, Shop $shop, DesignSpec $design, array $costs = []): self
    {
        $plan = Planner::planInFull(Designs::taken($job, $design), $shop);

        return new self(
            $design,
            $plan,
            Quote::of($plan, Ledger::of($plan, $shop), $shop)->at($costs),
            $job->set->routing->on($shop->rules->routing()),
        );
    }

    public function bends(): int
    {
        return count($this->allBends());
    }

    /** Bends that are not on the grid of preferred angles. */
    public function oddAngles(): int
    {
        return count(
            array_filter($this->allBends(), fn (Bend $bend): bool => ! $this->limits->grid->isEven($bend->angleDeg)),
        );
    }

    public function lengthMm(): float
    {
        return array_sum($this->lengths());
    }

    /** Longest less shortest run. */
    public function spreadMm(): float
    {
        $lengths = $this->lengths();

        return $lengths === [] ? 0.0 : max($lengths) - min($lengths);
    }

    public function massKg(): float
    {
        return $this->plan->cut->totalKg();
    }

    public function tooTight(): int
    {
        return count(array_filter($this->plan->layout->gaps, static fn (Gap $gap): bool => ! $gap->isKept()));
    }

    /** Where least is left of what is needed. */
    public function tightest(): ?Gap
    {
        return $this->plan->layout->gaps[0] ?? null;
    }

    public function openEnds(): int
    {
        $closed = array_filter($this->plan->layout->runs, static fn (RoutedRun $one): bool => $one->farEnd->isClosed());

        return count($this->plan->job->runs) - count($closed);
    }

    /** @return list<Bend> */
    private function allBends(): array
    {
        return array_merge(
            ...array_map(static fn (RoutedRun $one): array => $one->run->bends, $this->plan->layout->runs),
        );
    }

    /** @return list<float> */
    private function lengths(): array
    {
        return array_map(static fn (RoutedRun $one): float => $one->run->lengthMm(), $this->plan->layout->runs);
    }
}
