<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Nest\Problem\Chain;
use UpsweptBead\Core\Solve\Nest\Problem\CutRules;
use UpsweptBead\Core\Solve\Nest\Problem\Link;
use UpsweptBead\Core\Solve\Nest\Problem\StockItem;
use UpsweptBead\Core\Solve\Nest\Problem\StockKind;
use UpsweptBead\Core\Solve\Nest\Search\Donor;
use UpsweptBead\Core\Solve\Nest\Search\Straight\StraightBound;
use UpsweptBead\Core\Solve\Nest\Search\Straight\StraightNesting;
use UpsweptBead\Core\Solve\Nest\Search\Straight\Straights;
use UpsweptBead\Core\Solve\Route\Search\Chance;

/**
 * Which bought bars and bends all pieces of one size of tube are cut from, whichever run they belong to.
 *
 * `leastBars` is a lower bound: no cutting plan needs fewer new ones, so a person sees how good this one is.
 */
final readonly class Nesting
{
    /** Tries at fewer bars, beyond the first packing. */
    private const TRIES = 60;

    /** An offcut costs this share of the new stock it stands for: it is opened first, a short one before a long one. */
    private const OFFCUT_COST = 0.1;

    /**
     * @param  list<Piece>  $pieces  as they came, each with its place
     * @param  list<Bar>  $bars
     * @param  list<BentDonor>  $donors
     * @param  list<Piece>  $without  pieces that no stock is long enough for
     * @param  list<Piece>  $unheld  pieces from stock of which nothing is left that a saw could hold
     */
    private function __construct(
        public string $tubeId,
        public array $pieces,
        public array $bars,
        public array $donors,
        public int $leastBars,
        public array $without,
        public array $unheld,
    ) {}

    /**
     * @param  list<Piece>  $pieces  all from this size of tube
     */
    public static function of(TubeSize $tube, array $pieces, Bends $bends, Shop $shop): self
    {
        $rules = $shop->rules;
        $cutRules = self::rules($rules);
        $packing = BendPacking::best($pieces, $bends, $cutRules, $shop->shelf);
        $places = $packing->places();
        [$bars, $leastBars, $tooLong] = self::bars(
            array_values(array_filter(
                $pieces,
                static fn (Piece $one): bool => ! $one->isBend() && ! isset($places[$one->mark]),
            )),
            $tube,
            $cutRules,
            $shop,
        );
        $numbers = [];
        foreach ($bars as $bar) {
            $number = $numbers[$bar->stockId] = ($numbers[$bar->stockId] ?? 0) + 1;
            $atMm = $bar->trimMm;
            foreach ($bar->pieces as $piece) {
                $until = $atMm + $piece->cutLengthMm();
                $whole = $bar->lengthMm;
                $places[$piece->mark] =
                    new StockPlace($bar->stockId, $number, $atMm, $until, false, $whole, $whole, $whole);
                $atMm = $until + $cutRules->kerfMm;
            }
        }
        $placed = array_map(
            static fn (Piece $piece): Piece => isset($places[$piece->mark])
                ? $piece->cutFrom($places[$piece->mark], $tube->odMm)
                : $piece,
            $pieces,
        );
        $byMark = array_column($placed, null, 'mark');

        return new self(
            $tube->id,
            $placed,
            array_map(static fn (Bar $bar): Bar => $bar->holding($byMark), $bars),
            $packing->donors($byMark),
            $leastBars,
            [...$packing->without, ...$tooLong],
            $packing->unheld,
        );
    }

    /** @return array<array-key, int> how many of each stock item it takes, by id */
    public function needed(): array
    {
        $needed = [];
        foreach ($this->bars as $bar) {
            $needed[$bar->stockId] = ($needed[$bar->stockId] ?? 0) + 1;
        }
        foreach ($this->donors as $donor) {
            $needed[$donor->stock->id] = ($needed[$donor->stock->id] ?? 0) + 1;
        }

        return $needed;
    }

    /** @return list<OpenedStock> every bar and bend that is opened, with what is left of it */
    public function opened(ShopRules $rules): array
    {
        $kerfMm = $rules->value('cut.kerf');
        $opened = [];
        foreach ([...$this->bars, ...$this->donors] as $one) {
            $trimMm = $one instanceof Bar ? $one->trimMm : 0.0;
            $clrMm = $one instanceof BentDonor ? $one->stock->clrMm : 0.0;
            $places = array_values(array_filter(array_map(
                static fn (Piece $piece): ?StockPlace => $piece->place,
                $one->pieces,
            )));
            $opened[] = new OpenedStock(
                $one instanceof Bar ? $one->stockId : $one->stock->id,
                $places[0]->copy ?? 1,
                $this->tubeId,
                $one->pieces,
                Leftover::of($places, $clrMm, $kerfMm, $trimMm),
                $kerfMm,
                $trimMm,
            );
        }

        return $opened;
    }

    /** Every joint and cut costs the same here, whichever it is: only what is opened counts. */
    private static function rules(ShopRules $rules): CutRules
    {
        return new CutRules($rules->value('cut.kerf'), $rules->value('cut.hold'), 0.0, 0.0, 0.0, 0.0, 0.0, 0.01);
    }

    /**
     * @param  list<Piece>  $pieces
     * @return array{list<Bar>, int, list<Piece>} the bars, how few new ones there can be, and the pieces that are too long
     */
    private static function bars(array $pieces, TubeSize $tube, CutRules $cutRules, Shop $shop): array
    {
        // New stock is squared once: what is behind that is a stick with ends of its own, as an offcut is.
        $lengthMm = $shop->rules->value('cut.stock_length');
        $trimMm = $shop->rules->value('cut.end_trim');
        $sticks = [self::stick(0, $tube->id, $lengthMm - $trimMm, null, 1.0)];
        foreach ($shop->offcutsOf($tube->id, true) as $offcut) {
            $cost = self::OFFCUT_COST * $offcut->lengthMm() / $lengthMm;
            $sticks[] = self::stick(count($sticks), $offcut->id, $offcut->lengthMm(), 1, $cost);
        }
        $most = max(array_map(static fn (Donor $one): float => $one->toMm, $sticks));
        $fits = static fn (Piece $piece): bool => $piece->cutLengthMm() <= $most + Donor::SAME_MM;
        $tooLong = array_values(array_filter($pieces, static fn (Piece $piece): bool => ! $fits($piece)));
        $pieces = array_values(array_filter($pieces, $fits));
        if ($pieces === []) {
            return [[], 0, $tooLong];
        }
        $parts = array_map(
            static fn (int $id, Piece $piece) => Bends::part($id, $piece, 0.0, $piece->allowances->totalMm()),
            array_keys($pieces),
            $pieces,
        );
        $straights = new Straights($parts, $sticks, $cutRules);
        $left = self::TRIES;
        $mayGoOn = static function () use (&$left): bool {
            return $left-- > 0;
        };
        $leastBars = self::leastNew($straights);
        // With so many bars the packing is as good as it can be, whichever cuts are saved.
        $enough = $leastBars * 1.0 + count($pieces) * $cutRules->cutCost;
        $bins = (new StraightNesting($straights, new Chance(1), $mayGoOn, $enough))->best() ?? [];

        $bars = [];
        foreach ($bins as $bin) {
            $stick = $sticks[$bin['kind']] ?? $sticks[0];
            $isNew = $stick->index === 0;
            $bars[] = new Bar(
                $stick->item->id,
                $isNew ? $lengthMm : $stick->toMm,
                array_map(static fn (int $piece): Piece => $pieces[$piece], $bin['pieces']),
                // A piece that reaches to the end is counted with a kerf that is never cut.
                max(0.0, $stick->toMm - $bin['used'] / Straights::STEPS),
                $isNew ? $trimMm : 0.0,
            );
        }

        return [$bars, $leastBars, $tooLong];
    }

    private static function stick(int $index, string $id, float $roomMm, ?int $count, float $cost): Donor
    {
        $chain = Chain::of([Link::straight($roomMm)]);

        return new Donor($index, new StockItem($id, '', StockKind::Stick, $chain, 0.0, $count, $cost));
    }

    /** No packing needs fewer new sticks: what the offcuts cannot hold must come from somewhere. */
    private static function leastNew(Straights $straights): int
    {
        if (count($straights->rooms) === 1) {
            return StraightBound::sticks($straights->pieces, $straights->rooms[0]);
        }
        $beyond = array_sum($straights->pieces) - array_sum(array_slice($straights->rooms, 1));

        return max(0, (int) ceil($beyond / $straights->rooms[0]));
    }
}
