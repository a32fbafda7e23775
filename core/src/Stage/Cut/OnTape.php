<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

/**
 * Cut lengths as they are set out with a tape, the pieces of each run rounded together: what one loses the next gets,
 * so that the run comes out as long as planned within half a mark of the tape, however many pieces it has.
 */
final readonly class OnTape
{
    /**
     * @param  array<string, float>  $mm  by the piece's mark
     * @param  array<string, float>  $leftMm  by the letter of the run or collector: how much longer all of its pieces
     *   are
     */
    private function __construct(public array $mm, public array $leftMm) {}

    /** @param  array<string, list<Piece>>  $pieces  by letter, in the order of flow */
    public static function of(array $pieces, UnitSystem $units): self
    {
        $mm = $left = [];
        foreach ($pieces as $letter => $some) {
            $left[$letter] = 0.0;
            foreach ($some as $piece) {
                $wantedMm = $piece->cutLengthMm() - $left[$letter];
                $mm[$piece->mark] = Quantity::Length->rounded($wantedMm, $units);
                $left[$letter] = $mm[$piece->mark] - $wantedMm;
            }
        }

        return new self($mm, $left);
    }
}
