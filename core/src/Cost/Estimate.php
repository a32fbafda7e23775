<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cost;

use UpsweptBead\Core\Cut\StockNeed;
use UpsweptBead\Core\Joint\JointList;
use UpsweptBead\Core\Schedule\Schedule;
use UpsweptBead\Core\Shop\Shop;

/** What a job takes by the shop's own rates: minutes at the bench, and money for material and minutes. */
final readonly class Estimate
{
    private function __construct(public float $minutes, public float $material, public float $cost) {}

    /**
     * @param  list<StockNeed>  $stock
     */
    public static function of(array $stock, JointList $joints, Schedule $schedule, Shop $shop): self
    {
        $minutes = self::minutes($joints, $schedule, $shop);
        $material = self::material($stock, $shop);

        return new self($minutes, $material, $material + $minutes / 60 * $shop->rules->value('cost.hour'));
    }

    /**
     * What cuts cost: their stock, and the joints between their pieces.
     *
     * @param  list<StockNeed>  $stock
     */
    public static function ofCuts(array $stock, int $joints, Shop $shop): float
    {
        $minutes = $joints * self::perJoint($shop);

        return self::material($stock, $shop) + $minutes / 60 * $shop->rules->value('cost.hour');
    }

    /**
     * What the welds take in their order, with the waits in which nothing else of the job can be done, and what comes
     * before each of them. What cools when all is welded needs nobody.
     */
    private static function minutes(JointList $joints, Schedule $schedule, Shop $shop): float
    {
        return $schedule->attendedS() / 60 + count($joints->joints) * self::perJoint($shop);
    }

    /** Minutes: every joint is fitted, and stands for one more piece to cut. */
    private static function perJoint(Shop $shop): float
    {
        return $shop->rules->value('cost.fit_minutes') + $shop->rules->value('cost.prepare_minutes');
    }

    /** @param  list<StockNeed>  $stock */
    private static function material(array $stock, Shop $shop): float
    {
        $perBar = $shop->rules->value('cost.tube_metre') * $shop->rules->value('cut.stock_length') / 1000;
        $cost = 0.0;
        foreach ($stock as $need) {
            $bend = $shop->catalogue->bend($need->stockId);
            $cost += $need->needed * ($bend !== null ? $shop->rules->priceOf($bend) : $perBar);
        }

        return $cost;
    }
}
