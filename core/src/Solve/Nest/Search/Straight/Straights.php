<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search\Straight;

use UpsweptBead\Core\Solve\Nest\Problem\CutRules;
use UpsweptBead\Core\Solve\Nest\Search\Donor;
use UpsweptBead\Core\Solve\Nest\Search\Part;

/**
 * Straight pieces and the straight stock they can come from, in whole thousandths of a millimetre: sums of decimal
 * lengths are exact then, and a piece of stock that is just used up is seen as such. A piece is counted with its kerf
 * and a piece of stock with one kerf more than it has, so that pieces fit where their sum does.
 */
final readonly class Straights
{
    /** To a millimetre. */
    public const STEPS = 1000;

    /** @var list<int> pieces, each with its kerf */
    public array $pieces;

    /** @var list<int> by kind of stock, with one kerf more */
    public array $rooms;

    /** @var list<int> what must stay free of a kind of stock from which only pieces too short for the saw are cut */
    private array $left;

    private int $hold;

    /**
     * @param  list<Part>  $parts
     * @param  list<Donor>  $donors
     */
    public function __construct(public array $parts, public array $donors, public CutRules $rules)
    {
        $kerf = self::steps($rules->kerfMm);
        $this->pieces = array_map(static fn (Part $part): int => self::steps($part->cutMm) + $kerf, $parts);
        $this->rooms = array_map(
            static fn (Donor $donor): int => self::steps($donor->toMm - $donor->fromMm) + $kerf,
            $donors,
        );
        $this->hold = self::steps($rules->holdMm) + $kerf;
        $this->left = array_map(
            fn (Donor $donor): int => max(0, $this->hold - self::steps($donor->fromMm)),
            $donors,
        );
    }

    /** How much of a kind of stock may be used when the longest piece on it is this long. */
    public function roomFor(int $kind, int $longest): int
    {
        return $longest >= $this->hold ? $this->rooms[$kind] : $this->rooms[$kind] - $this->left[$kind];
    }

    /**
     * What one piece of stock costs with its cuts.
     *
     * @param  int  $used  sum of the pieces on it
     */
    public function cost(int $kind, int $pieces, int $used): float
    {
        $donor = $this->donors[$kind];
        $cuts = match (true) {
            ! $donor->hasFreeEnds => $pieces + 1,
            $used >= $this->rooms[$kind] => $pieces - 1,
            default => $pieces,
        };

        return $donor->item->cost + $cuts * $this->rules->cutCost;
    }

    private static function steps(float $mm): int
    {
        return (int) round($mm * self::STEPS);
    }
}
