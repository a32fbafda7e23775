<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search\Bound;

use UpsweptBead\Core\Solve\Nest\Problem\Link;
use UpsweptBead\Core\Solve\Nest\Search\Donor;

/** One way a bend can lie in a kind of stock: which legs go with it. */
final readonly class Mode
{
    /**
     * @param  float|null  $beforeMm  the leg in front of the bend; null if the piece begins at its tangent
     * @param  float|null  $afterMm  the leg behind it
     * @param  bool  $takesFirst  whether it lies at the first tangent of the stock
     * @param  bool  $takesLast  whether it lies at the last
     */
    private function __construct(
        public Donor $donor,
        public ?float $beforeMm,
        public ?float $afterMm,
        public bool $takesFirst,
        public bool $takesLast,
    ) {}

    /**
     * @param  list<Donor>  $donors
     * @return list<self>
     */
    public static function of(float $arcMm, float $clrMm, array $donors): array
    {
        $modes = [];
        foreach ($donors as $donor) {
            $room = $donor->arcToMm - $donor->arcFromMm - $arcMm;
            if ($donor->clrMm <= 0.0 || abs($donor->clrMm - $clrMm) > Link::SAME_CLR_MM || $room < -0.05) {
                continue;
            }
            [$first, $last] = [$donor->arcFromMm, $donor->lengthMm() - $donor->arcToMm];
            if ($donor->isRing) {
                $modes[] = new self($donor, null, null, false, false);
            } elseif ($room <= 0.05) {
                $modes[] = new self($donor, $first, $last, true, true);
                if ($first !== $last) {
                    $modes[] = new self($donor, $last, $first, true, true);
                }
            } else {
                $modes[] = new self($donor, $first, null, true, false);
                $modes[] = new self($donor, null, $first, true, false);
                $modes[] = new self($donor, $last, null, false, true);
                $modes[] = new self($donor, null, $last, false, true);
                $modes[] = new self($donor, null, null, false, false);
            }
        }

        return $modes;
    }
}
