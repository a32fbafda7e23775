<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Shop\Practice\Shop;

/** What cuts cost by the shop's own rates: their stock, the pieces and cuts, and the joints between them; not the welds. */
final readonly class Estimate
{
    /** Every joint is fitted and looked at, every piece prepared, every cut sawn and dressed. */
    public static function of(CutPlan $cut, Shop $shop): float
    {
        $rates = Rates::of($shop);
        $minutes = $cut->joints() * $rates->jointMinutes() + count($cut->allPieces()) * $rates->pieceMinutes();

        return self::material($cut->stock, $shop)
            + $minutes * $rates->perMinute()
            + $cut->cuts($shop->rules) * $rates->cut();
    }

    /** @param  list<StockNeed>  $stock */
    private static function material(array $stock, Shop $shop): float
    {
        $perBar = $shop->rules->value('cost.tube_metre') * $shop->rules->value('cut.stock_length') / 1000;
        $cost = 0.0;
        foreach ($stock as $need) {
            $bend = $shop->catalogue->bend($need->stockId);
            // What is left of other jobs was paid with them.
            $cost += $need->needed * match (true) {
                $bend !== null => $shop->rules->priceOf($bend),
                isset($shop->catalogue->tubes[$need->stockId]) => $perBar,
                default => 0.0,
            };
        }

        return $cost;
    }
}
