<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Nest\Problem\Chain;
use UpsweptBead\Core\Solve\Nest\Problem\Link;
use UpsweptBead\Core\Solve\Nest\Problem\StockItem;
use UpsweptBead\Core\Solve\Nest\Problem\StockKind;
use UpsweptBead\Core\Solve\Nest\Search\Donor;
use UpsweptBead\Core\Solve\Nest\Search\Part;

/** The bends of one size of tube as stock to cut from, and what they can give a piece. */
final readonly class Bends
{
    /** An angle this near to the stock's is the stock's (degrees). */
    private const SAME_DEG = 0.05;

    /** @var list<BendStock> */
    public array $stock;

    /** @var list<Donor> */
    public array $donors;

    /**
     * @param  list<BendStock>  $bought  of which there are as many as wanted
     * @param  list<BendStock>  $offcuts  of which there is one each
     */
    public function __construct(private array $bought, array $offcuts = [])
    {
        $stock = [...$bought, ...$offcuts];
        $this->stock = $stock;
        $this->donors = array_map(
            static fn (int $i, BendStock $bend): Donor => new Donor($i, self::item($bend, $bend->id, null, 0.0)),
            array_keys($stock),
            $stock,
        );
    }

    /**
     * All there are of one size of tube: as they are bought, and what was left of some.
     *
     * @param  list<string>  $chosen  ids of stock that pieces were chosen to come from
     */
    public static function of(TubeSize $tube, Shop $shop, array $chosen = []): self
    {
        $offcuts = [];
        foreach ($shop->offcutsOf($tube->id, false) as $offcut) {
            $whole = $shop->catalogue->bend($offcut->stockId);
            if ($whole !== null) {
                $offcuts[] = $offcut->asBend($whole);
            }
        }

        $donuts = self::donuts($tube->id, $shop, $chosen);

        return new self([...$shop->catalogue->bendsFor($tube->id), ...$donuts], $offcuts);
    }

    /**
     * @param  list<string>  $chosen  ids of stock that pieces were chosen to come from
     * @return list<BendStock> donuts that may be cut: on the shelf or chosen, and any where the shop buys them
     */
    public static function donuts(string $tubeId, Shop $shop, array $chosen = []): array
    {
        $areBought = $shop->rules->value('cut.donuts') > 0.0;

        return array_values(array_filter(
            $shop->catalogue->donutsFor($tubeId),
            static fn (BendStock $ring): bool => $areBought
                || $shop->has($ring->id) > 0
                || in_array($ring->id, $chosen, true),
        ));
    }

    public function isOffcut(int $index): bool
    {
        return $index >= count($this->bought);
    }

    /** @param  int|null  $count  how many there are; null for as many as wanted */
    public static function item(BendStock $bend, string $id, ?int $count, float $cost): StockItem
    {
        if ($bend->isRing()) {
            $ring = Chain::of([Link::bend($bend->angleDeg, $bend->clrMm)]);

            return new StockItem($id, $bend->tubeId, StockKind::Donut, $ring, 0.0, $count, $cost);
        }

        return new StockItem(
            $id,
            $bend->tubeId,
            $bend->longestLegMm() > 0.0 ? StockKind::Bend : StockKind::Elbow,
            Chain::of([
                Link::straight($bend->clampLegMm),
                Link::bend($bend->angleDeg, $bend->clrMm),
                Link::straight($bend->pullLegMm),
            ]),
            0.0,
            $count,
            $cost,
        );
    }

    /** @param  float  $startMm  extra length at its upstream end */
    public static function part(int $id, Piece $piece, float $startMm, float $endMm): Part
    {
        $span = $piece->span;
        $whole = $span->donor->angleDeg ?? 0.0;
        $angle = abs($whole - $piece->angleDeg) <= self::SAME_DEG ? $whole : $piece->angleDeg;
        $bend = $piece->isBend() ? Link::bend($angle, $piece->clrMm) : null;

        return new Part(
            $id,
            0,
            0.0,
            $bend === null ? $piece->onStockMm() : $span->legBeforeMm + $bend->lengthMm + $span->legAfterMm,
            $bend,
            $span->legBeforeMm,
            $span->legAfterMm,
            $startMm,
            $endMm,
        );
    }

    /**
     * How much longer than it ends up a piece can be cut at one end, from whatever bend suits it best.
     *
     * @param  float  $angleDeg  its bend
     * @param  float  $mostMm  more is not asked for
     */
    public function spareMm(float $angleDeg, float $clrMm, float $legMm, float $otherLegMm, float $mostMm): float
    {
        $spare = 0.0;
        foreach ($this->bought as $bend) {
            $rest = $bend->angleDeg - $angleDeg;
            if (abs($bend->clrMm - $clrMm) > Link::SAME_CLR_MM || $rest < -self::SAME_DEG) {
                continue;
            }
            $isWhole = $rest <= self::SAME_DEG;
            foreach ([[$bend->clampLegMm, $bend->pullLegMm], [$bend->pullLegMm, $bend->clampLegMm]] as [$leg, $other]) {
                if ($otherLegMm > $other || $legMm > $leg || (! $isWhole && $legMm > 0.0 && $otherLegMm > 0.0)) {
                    continue;
                }
                // Where no leg is wanted, what is left of the bend is there as well.
                $more = ! $isWhole && $legMm <= 0.0 ? deg2rad($rest) * $clrMm : 0.0;
                $spare = max($spare, $leg - $legMm + $more);
            }
        }

        return min($spare, $mostMm);
    }
}
