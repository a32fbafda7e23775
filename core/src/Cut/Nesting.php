<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

use UpsweptBead\Core\Cut\Problem\Chain;
use UpsweptBead\Core\Cut\Problem\CutRules;
use UpsweptBead\Core\Cut\Problem\Link;
use UpsweptBead\Core\Cut\Problem\StockItem;
use UpsweptBead\Core\Cut\Problem\StockKind;
use UpsweptBead\Core\Cut\Search\Donor;
use UpsweptBead\Core\Cut\Search\Straight\StraightBound;
use UpsweptBead\Core\Cut\Search\Straight\StraightNesting;
use UpsweptBead\Core\Cut\Search\Straight\Straights;
use UpsweptBead\Core\Route\Search\Chance;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Stock\TubeSize;

/**
 * Which bought bars and bends all pieces of one size of tube are cut from, whichever run they belong to.
 *
 * `leastBars` is a lower bound: no cutting plan needs fewer, so a person sees how good this one is.
 */
final readonly class Nesting
{
    /** Tries at fewer bars, beyond the first packing. */
    private const TRIES = 60;

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
     * @param  array<array-key, int>  $shelf  how many there are of each stock item
     */
    public static function of(TubeSize $tube, array $pieces, Bends $bends, ShopRules $rules, array $shelf): self
    {
        $cutRules = self::rules($rules);
        $packing = BendPacking::best($pieces, $bends, $cutRules, $shelf);
        $places = $packing->places();
        [$bars, $leastBars, $tooLong] = self::bars(
            array_values(array_filter(
                $pieces,
                static fn (Piece $one): bool => ! $one->isBend() && ! isset($places[$one->mark]),
            )),
            $cutRules,
            $rules,
        );
        foreach ($bars as $number => $bar) {
            $atMm = $rules->value('cut.end_trim');
            foreach ($bar->pieces as $piece) {
                $until = $atMm + $piece->cutLengthMm();
                $whole = $bar->lengthMm;
                $places[$piece->mark] = new Place($tube->id, $number + 1, $atMm, $until, false, $whole, $whole, $whole);
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
            $bars,
            $packing->donors($byMark),
            $leastBars,
            [...$packing->without, ...$tooLong],
            $packing->unheld,
        );
    }

    /** @return array<array-key, int> how many of each stock item it takes, by id */
    public function needed(): array
    {
        $needed = $this->bars === [] ? [] : [$this->tubeId => count($this->bars)];
        foreach ($this->donors as $donor) {
            $needed[$donor->stock->id] = ($needed[$donor->stock->id] ?? 0) + 1;
        }

        return $needed;
    }

    /** Every joint and cut costs the same here, whichever it is: only what is opened counts. */
    private static function rules(ShopRules $rules): CutRules
    {
        return new CutRules($rules->value('cut.kerf'), $rules->value('cut.hold'), 0.0, 0.0, 0.0, 0.0, 0.0, 0.01);
    }

    /**
     * @param  list<Piece>  $pieces
     * @return array{list<Bar>, int, list<Piece>} the bars, how few there can be, and the pieces that are too long
     */
    private static function bars(array $pieces, CutRules $cutRules, ShopRules $rules): array
    {
        // New stock is squared once: what is behind that is a stick with ends of its own.
        $lengthMm = $rules->value('cut.stock_length');
        $roomMm = $lengthMm - $rules->value('cut.end_trim');
        $fits = static fn (Piece $piece): bool => $piece->cutLengthMm() <= $roomMm + Donor::SAME_MM;
        $tooLong = array_values(array_filter($pieces, static fn (Piece $piece): bool => ! $fits($piece)));
        $pieces = array_values(array_filter($pieces, $fits));
        if ($pieces === []) {
            return [[], 0, $tooLong];
        }
        $stick = new StockItem('', '', StockKind::Stick, Chain::of([Link::straight($roomMm)]), 0.0, null, 1.0);
        $parts = array_map(
            static fn (int $id, Piece $piece) => Bends::part($id, $piece, 0.0, $piece->allowances->totalMm()),
            array_keys($pieces),
            $pieces,
        );
        $straights = new Straights($parts, [new Donor(0, $stick)], $cutRules);
        $left = self::TRIES;
        $mayGoOn = static function () use (&$left): bool {
            return $left-- > 0;
        };
        $leastBars = StraightBound::sticks($straights->pieces, $straights->rooms[0]);
        // With so many bars the packing is as good as it can be, whichever cuts are saved.
        $enough = $leastBars * 1.0 + count($pieces) * $cutRules->cutCost;
        $bins = (new StraightNesting($straights, new Chance(1), $mayGoOn, $enough))->best() ?? [];

        return [array_map(static fn (array $bin): Bar => new Bar(
            $lengthMm,
            array_map(static fn (int $piece): Piece => $pieces[$piece], $bin['pieces']),
            $roomMm + $cutRules->kerfMm - $bin['used'] / Straights::STEPS,
        ), $bins), $leastBars, $tooLong];
    }
}
