<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Units\Quantity;

/** What a way falls short of. */
enum Lack: string
{
    /** From a keep-out. */
    case Clearance = 'clearance';
    /** From another tube. */
    case Gap = 'gap';
    /** Of the target of a group of lengths. */
    case Length = 'length';
    /** What its bends can turn together. */
    case Turn = 'turn';
    /** An angle, a radius or a straight that the rules do not allow. */
    case Bend = 'bend';

    /** What is measured of it: degrees for a turn, else mm. */
    public function quantity(): Quantity
    {
        return $this === self::Turn ? Quantity::Angle : Quantity::Length;
    }
}
