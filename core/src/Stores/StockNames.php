<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stores;

use UpsweptBead\Core\Stock\BendStock;
use UpsweptBead\Core\Stock\TubeSize;

/** How bends and elbows are called on lists and labels. */
final readonly class StockNames
{
    public static function kind(BendStock $bend): ItemKind
    {
        return $bend->longestLegMm() > 0.0 ? ItemKind::Bend : ItemKind::Elbow;
    }

    public static function bend(BendStock $bend, TubeSize $tube): string
    {
        return sprintf(
            '%s, %g° %s on %g × D',
            $tube->name,
            $bend->angleDeg,
            self::kind($bend) === ItemKind::Bend ? 'bend' : 'elbow',
            round($bend->clrMm / $tube->odMm, 2),
        );
    }
}
