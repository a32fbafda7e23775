<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Units;

/** The units a person works in: decides what a bare number means and how lengths are shown. */
enum UnitSystem: string
{
    case Inch = 'inch';
    case Metric = 'metric';
}
