<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Stores;

use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Shop\Stock\TubeSize;

/** How bends, elbows and donuts are called on lists and labels. */
final readonly class StockNames
{
    public static function kind(TubeSize $tube): ItemKind
    {
        return $tube->isPipe ? ItemKind::Elbow : ItemKind::Bend;
    }

    public static function bend(BendStock $bend, TubeSize $tube): string
    {
        if ($tube->isPipe) {
            // Weld elbows come in two radii: 1.5 and 1 × the nominal size (ASME B16.9), which is near the outside.
            $radius = $bend->clrMm > $tube->odMm ? 'long' : 'short';

            return sprintf('%s, %g° elbow, %s radius', $tube->name, $bend->angleDeg, $radius);
        }

        return sprintf(
            '%s, %s on %g × D',
            $tube->name,
            $bend->isRing() ? 'donut' : "{$bend->angleDeg}° bend",
            round($bend->clrMm / $tube->odMm, 2),
        );
    }
}
