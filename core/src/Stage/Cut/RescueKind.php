<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Base\Units\Quantity;

/** How a piece that was cut to a wrong length, or that a later plan wants otherwise, or its run, can be saved. */
enum RescueKind: string
{
    case GoOn = 'go-on';
    case SawOff = 'saw-off';
    case LongerNeighbour = 'longer-neighbour';
    case UseAs = 'use-as';
    case CutAgain = 'cut-again';
    case NewStock = 'new-stock';
    case CutBack = 'cut-back';
    case EndsAgain = 'ends-again';
    case Becomes = 'becomes';

    /** What its amount is: of a bend that is cut back, degrees. */
    public function quantity(): Quantity
    {
        return $this === self::CutBack ? Quantity::Angle : Quantity::Length;
    }
}
