<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

/** How a piece that was cut to a wrong length, or its run, can be saved. */
enum RescueKind: string
{
    case GoOn = 'go-on';
    case SawOff = 'saw-off';
    case LongerNeighbour = 'longer-neighbour';
    case UseAs = 'use-as';
    case CutAgain = 'cut-again';
    case NewStock = 'new-stock';
}
