<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

use UpsweptBead\Core\Shop\ShopRules;

/**
 * Which bought bars and bends all pieces of one size of tube are cut from, whichever run they belong to: first fit,
 * longest first.
 *
 * `leastBars` is a lower bound: no cutting plan needs fewer, so a person sees how good this one is.
 */
final readonly class Nesting
{
    /**
     * @param  list<Bar>  $bars
     * @param  list<BentDonor>  $donors
     * @param  list<Piece>  $tooLong  straight pieces longer than a bar
     */
    private function __construct(
        public string $tubeId,
        public array $bars,
        public array $donors,
        public int $leastBars,
        public array $tooLong,
    ) {}

    /** @param  list<Piece>  $pieces  all from this size of tube */
    public static function of(string $tubeId, array $pieces, ShopRules $rules): self
    {
        $straight = array_values(array_filter($pieces, static fn (Piece $piece): bool => ! $piece->isBend()));
        $bent = array_values(array_filter($pieces, static fn (Piece $piece): bool => $piece->isBend()));
        usort($straight, static fn (Piece $a, Piece $b): int => $b->cutLengthMm() <=> $a->cutLengthMm());
        usort($bent, static fn (Piece $a, Piece $b): int => $b->angleDeg <=> $a->angleDeg);
        [$bars, $tooLong] = self::bars($straight, $rules);
        $perBar = $rules->value('cut.stock_length') - $rules->value('cut.end_trim') + $rules->value('cut.kerf');
        $needed = array_sum(
            array_map(static fn (Piece $piece): float => $piece->cutLengthMm() + $rules->value('cut.kerf'), $straight),
        );

        $leastBars = (int) ceil($needed / $perBar - 1e-9);

        return new self($tubeId, $bars, self::donors($bent, $rules->value('cut.kerf')), $leastBars, $tooLong);
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

    /**
     * @param  list<Piece>  $pieces
     * @return array{list<Bar>, list<Piece>}
     */
    private static function bars(array $pieces, ShopRules $rules): array
    {
        /** @var list<Bar> $bars */
        $bars = [];
        $tooLong = [];
        [$stockMm, $kerfMm, $trimMm] = [
            $rules->value('cut.stock_length'),
            $rules->value('cut.kerf'),
            $rules->value('cut.end_trim'),
        ];
        foreach ($pieces as $piece) {
            $cutMm = $piece->cutLengthMm();
            if ($cutMm > $stockMm - $trimMm) {
                $tooLong[] = $piece;

                continue;
            }
            foreach ($bars as $i => $bar) {
                if ($bar->leftMm - $kerfMm >= $cutMm) {
                    $bars[$i] = $bar->with($piece, $bar->leftMm - $kerfMm - $cutMm);

                    continue 2;
                }
            }
            $bars[] = new Bar($stockMm, [$piece], $stockMm - $trimMm - $cutMm);
        }

        return [$bars, $tooLong];
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
            $usedDeg = $piece->angleDeg + rad2deg($kerfMm / $stock->clrMm);
            foreach ($donors as $i => $donor) {
                $serves =
                    $donor->stock->id === $stock->id &&
                    $donor->freeLegs >= $legs &&
                    $donor->leftDeg >= $piece->angleDeg;
                if ($serves) {
                    $left = max(0.0, $donor->leftDeg - $usedDeg);
                    $donors[$i] = new BentDonor($stock, [...$donor->pieces, $piece], $left, $donor->freeLegs - $legs);

                    continue 2;
                }
            }
            $donors[] = new BentDonor($stock, [$piece], max(0.0, $stock->angleDeg - $usedDeg), 2 - $legs);
        }

        return array_values($donors);
    }
}
