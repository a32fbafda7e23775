<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

use UpsweptBead\Core\Shop\ShopRules;

/**
 * Which bought bars and bends the pieces are cut from: first fit, longest first.
 *
 * `leastBars` is a lower bound: no cutting plan needs fewer, so a person sees how good this one is.
 */
final readonly class Nesting
{
    /**
     * @param  list<Bar>  $bars
     * @param  list<BentDonor>  $donors
     * @param  list<string>  $tooLong  marks of straight pieces longer than a bar
     */
    private function __construct(public array $bars, public array $donors, public int $leastBars, public array $tooLong) {}

    /** @param  list<Piece>  $pieces all from one size of tube */
    public static function of(array $pieces, ShopRules $rules): self
    {
        $straight = array_values(array_filter($pieces, static fn (Piece $piece): bool => ! $piece->isBend()));
        $bent = array_values(array_filter($pieces, static fn (Piece $piece): bool => $piece->isBend()));
        usort($straight, static fn (Piece $a, Piece $b): int => $b->cutLengthMm() <=> $a->cutLengthMm());
        usort($bent, static fn (Piece $a, Piece $b): int => $b->angleDeg <=> $a->angleDeg);
        [$bars, $tooLong] = self::bars($straight, $rules);
        $perBar = $rules->value('cut.stock_length') - $rules->value('cut.end_trim') + $rules->value('cut.kerf');
        $needed = array_sum(array_map(static fn (Piece $piece): float => $piece->cutLengthMm() + $rules->value('cut.kerf'), $straight));

        return new self($bars, self::donors($bent, $rules->value('cut.kerf')), (int) ceil($needed / $perBar - 1e-9), $tooLong);
    }

    /**
     * @param  list<Piece>  $pieces
     * @return array{list<Bar>, list<string>}
     */
    private static function bars(array $pieces, ShopRules $rules): array
    {
        [$bars, $tooLong] = [[], []];
        [$stockMm, $kerfMm, $trimMm] = [$rules->value('cut.stock_length'), $rules->value('cut.kerf'), $rules->value('cut.end_trim')];
        foreach ($pieces as $piece) {
            $cut = ['mark' => $piece->mark, 'mm' => $piece->cutLengthMm()];
            if ($cut['mm'] > $stockMm - $trimMm) {
                $tooLong[] = $piece->mark;

                continue;
            }
            foreach ($bars as $i => $bar) {
                if ($bar->leftMm - $kerfMm >= $cut['mm']) {
                    $bars[$i] = new Bar($stockMm, [...$bar->cuts, $cut], $bar->leftMm - $kerfMm - $cut['mm']);

                    continue 2;
                }
            }
            $bars[] = new Bar($stockMm, [$cut], $stockMm - $trimMm - $cut['mm']);
        }

        return [array_values($bars), $tooLong];
    }

    /**
     * A cut uses up w/R of bend; each donor has two legs, and only the two pieces at its ends can keep one.
     *
     * @param  list<Piece>  $pieces
     * @return list<BentDonor>
     */
    private static function donors(array $pieces, float $kerfMm): array
    {
        $donors = [];
        foreach ($pieces as $piece) {
            $stock = $piece->span->donor;
            if ($stock === null) {
                continue;
            }
            $legs = ($piece->span->legBeforeMm > 0 ? 1 : 0) + ($piece->span->legAfterMm > 0 ? 1 : 0);
            $kerfDeg = rad2deg($kerfMm / $stock->clrMm);
            foreach ($donors as $i => $donor) {
                if ($donor->stock->id === $stock->id && $donor->freeLegs >= $legs && $donor->leftDeg >= $piece->angleDeg) {
                    $donors[$i] = new BentDonor($stock, [...$donor->marks, $piece->mark], max(0.0, $donor->leftDeg - $piece->angleDeg - $kerfDeg), $donor->freeLegs - $legs);

                    continue 2;
                }
            }
            $donors[] = new BentDonor($stock, [$piece->mark], max(0.0, $stock->angleDeg - $piece->angleDeg - $kerfDeg), 2 - $legs);
        }

        return array_values($donors);
    }
}
