<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Shop\Practice\Shop;

/** What cuts cost by the shop's own rates: their stock, and the joints between their pieces. */
final readonly class Estimate
{
    /** @param  list<StockNeed>  $stock */
    public static function ofCuts(array $stock, int $joints, Shop $shop): float
    {
        // Every joint is fitted and looked at, and stands for one more piece to cut.
        $rates = Rates::of($shop);
        $minutes = $rates->jointMinutes() + $rates->pieceMinutes();

        return self::material($stock, $shop) + $joints * ($minutes * $rates->perMinute() + $rates->cut());
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
