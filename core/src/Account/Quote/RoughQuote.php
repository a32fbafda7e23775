<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Quote;

use UpsweptBead\Core\Account\Ledger\Ledger;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Intake\FirstLayout;
use UpsweptBead\Core\Stage\Intake\StartingPoint;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;

/**
 * A first quote, before anything is measured: a job with the usual bends in every run is planned and priced like any
 * other, once as it will likely be, once with a bend less in every run, once with a bend more and one run made twice: of
 * a single run one piece, of a collector one tube.
 */
final readonly class RoughQuote
{
    /**
     * @param  int  $joints  of the likely one
     * @param  float  $againShare  by which one run, or one piece of a single run, made again makes the dearest dearer
     * @param  ?float  $collectorCost  what making the collector adds, before margin; null where none is made
     */
    private function __construct(
        public Quote $low,
        public Quote $likely,
        private Quote $high,
        public int $joints,
        public int $mostJoints,
        public ?float $collectorCost,
        private float $againShare,
    ) {}

    /**
     * Null where nothing can be counted yet: no tube is chosen, or it is a repair.
     *
     * @param  array<string, float>  $costs  what things really cost, by key, where the stores know it
     */
    public static function of(StartingPoint $start, Shop $shop, array $costs = []): ?self
    {
        $bends = $start->bends;
        $likely = self::counted($start, $shop, $bends);
        if ($likely === null) {
            return null;
        }
        $isBent = $bends > 0;
        $low = $isBent ? self::counted($start, $shop, $bends - 1) ?? $likely : $likely;
        $high = $isBent
            ? self::counted($start, $shop, min(StartingPoint::MOST_BENDS, $bends + 1)) ?? $likely
            : $likely;
        $without = $start->makesCollector && $likely->job->runs !== []
            ? self::counted($start, $shop, $bends, false)
            : null;
        $price = static fn (Plan $plan): Quote => Quote::of($plan, Ledger::of($plan, $shop), $shop)->at($costs);
        $quote = $price($likely);
        $few = $price($low);

        return new self(
            // Longer straights may want a joint where a bend more does not.
            $few->price() < $quote->price() ? $few : $quote,
            $quote,
            $price($high),
            count($likely->joints->joints),
            count($high->joints->joints),
            $without === null ? null : max(0.0, $quote->cost() - $price($without)->cost()),
            1.0 / match (count($likely->job->runs)) {
                0 => max(2, $start->cylinders),
                1 => $bends + 1,
                default => count($likely->job->runs),
            },
        );
    }

    /** With one made again. */
    public function highest(): float
    {
        return $this->high->price() * (1.0 + $this->againShare);
    }

    /** At the bench, with one made again. */
    public function mostMinutes(): float
    {
        return $this->high->minutes() * (1.0 + $this->againShare);
    }

    private static function counted(StartingPoint $start, Shop $shop, int $bends, bool $hasCollector = true): ?Plan
    {
        $job = FirstLayout::counted($start, $shop, $bends, $hasCollector);

        return $job === null ? null : Planner::plan($job, $shop);
    }
}
