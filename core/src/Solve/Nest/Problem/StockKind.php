<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Problem;

enum StockKind: string
{
    case Stick = 'stick';
    case Offcut = 'offcut';
    case Bend = 'bend';
    case Elbow = 'elbow';
    case Donut = 'donut';
}
