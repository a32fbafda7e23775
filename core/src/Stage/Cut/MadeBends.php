<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Merge\PieCut;
use UpsweptBead\Core\Solve\Merge\RoundTube;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\TubeRun;

/**
 * What the bends of a run can come from: those that are bought, and those of it that are made of wedges from a stick.
 */
final readonly class MadeBends
{
    /** @return list<BendStock> a bend made here keeps whatever straight its stick has on both sides */
    public static function stock(TubeRun $run, TubeSize $tube, Shop $shop): array
    {
        $stock = $shop->catalogue->bendsFor($tube->id);
        $legMm = $shop->rules->value('cut.stock_length');
        foreach ($run->bends as $bend) {
            if ($bend->pieWelds > 0) {
                $stock[] = BendStock::made($tube, $bend->clrMm, $bend->angleDeg, $legMm);
            }
        }

        return $stock;
    }

    /** The wedges of a bend that is made here; null for one that is bought, or whose throat would be cut through. */
    public static function pieOf(Bend $bend, TubeSize $tube, Shop $shop): ?PieCut
    {
        if ($bend->pieWelds < 1) {
            return null;
        }
        $cut = PieCut::of(
            new RoundTube($tube->odMm, $tube->wallMm),
            $bend->clrMm,
            deg2rad($bend->angleDeg),
            $bend->pieWelds,
            $shop->rules->value('cut.kerf'),
            0.0,
            true,
            null,
            ButtKind::Wedges->shrinkMm($shop->rules, $tube->wallMm),
        );

        return $cut instanceof PieCut ? $cut : null;
    }
}
