<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use Closure;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\Estimate;
use UpsweptBead\Core\Stage\Cut\LeastStock;

/** The cuts of a job as they are, and others that take fewer joints or cost less, where some were found. */
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
            && self::worth($found, $shop) < self::worth($sketch->cut, $shop);

        return $isBetter ? new self($sketch->cut, $other, $found) : new self($sketch->cut, null, null);
    }

    /** @return array{int, float} compared in this order: joints, then what all of it costs, to the cent */
    private static function worth(CutPlan $cut, Shop $shop): array
    {
        return [$cut->joints(), round(Estimate::of($cut, $shop), 2)];
    }
}
