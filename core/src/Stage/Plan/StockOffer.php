<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use Closure;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\LeastStock;

/** The cuts of a job as they are, and others that take fewer joints or less stock, where some were found. */
final readonly class StockOffer
{
    /** @param  Job|null  $job  with the other cuts; null if none are better */
    private function __construct(public CutPlan $now, public ?Job $job, public ?CutPlan $found) {}

    /**
     * @param  float  $seconds  how long to look
     * @param  Closure(): float  $clock  seconds on any clock that only runs forward
     */
    public static function of(Job $job, Shop $shop, float $seconds, int $seed, Closure $clock): self
    {
        $sketch = Planner::sketch($job, $shop);
        $other = LeastStock::of($job, $sketch->layout, $shop, $seconds, $seed, $clock);
        $found = $other === null ? null : Planner::sketch($other, $shop)->cut;
        $isBetter = $found !== null
            && count($found->notices) <= count($sketch->cut->notices)
            && self::worth($found) < self::worth($sketch->cut);

        return $isBetter ? new self($sketch->cut, $other, $found) : new self($sketch->cut, null, null);
    }

    /** @return list<int> compared in this order: joints, what has to be bought, bends, bars */
    private static function worth(CutPlan $cut): array
    {
        return [$cut->joints(), $cut->toBuy(), $cut->bends(), $cut->bars()];
    }
}
