<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

/** Where the end of a run is and where it points, told in words. */
final readonly class WhereItEnds
{
    /** Nearer than this (mm, degrees) it is there, level, or straight that way. */
    private const THERE_MM = 1.0;

    private const STRAIGHT_DEG = 2.0;

    /** Steeper than this it has no side that is worth a word. */
    private const STEEP_DEG = 85.0;

    public static function text(Frame $start, Frame $end, UnitSystem $units): string
    {
        return self::place($end->at->minus($start->at), $units).'. '.self::pointing($end->forward).'.';
    }

    private static function place(Vector $across, UnitSystem $units): string
    {
        $words = [];
        foreach ([
            [$across->x, 'rearward', 'forward'], [$across->y, 'right', 'left'], [$across->z, 'above', 'below'],
        ] as [$mm, $ahead, $against]) {
            if (abs($mm) >= self::THERE_MM) {
                $words[] = Quantity::Length->read(abs($mm), $units).' '.($mm > 0.0 ? $ahead : $against);
            }
        }

        return $words === [] ? 'It ends where it starts' : 'From its start '.implode(', ', $words);
    }

    private static function pointing(Vector $way): string
    {
        $fallsDeg = rad2deg(asin(max(-1.0, min(1.0, -$way->z))));
        if (abs($fallsDeg) >= self::STEEP_DEG) {
            return $fallsDeg > 0.0 ? 'It points straight down' : 'It points straight up';
        }
        $slope = match (true) {
            abs($fallsDeg) < self::STRAIGHT_DEG => 'level',
            $fallsDeg > 0.0 => sprintf('falling %.0f°', $fallsDeg),
            default => sprintf('rising %.0f°', -$fallsDeg),
        };

        return 'It points '.self::side($way).", $slope";
    }

    /** Seen from above: "rearward", "30° to the right of rearward". */
    private static function side(Vector $way): string
    {
        [$along, $aside] = [$way->x, $way->y];
        $isAcross = abs($aside) > abs($along);
        $main = $isAcross ? ($aside > 0.0 ? 'right' : 'left') : ($along > 0.0 ? 'rearward' : 'forward');
        $off = $isAcross ? $along : $aside;
        $offDeg = rad2deg(atan2(abs($off), $isAcross ? abs($aside) : abs($along)));
        if ($offDeg < self::STRAIGHT_DEG) {
            return $isAcross ? "to the $main" : $main;
        }
        $other = $isAcross ? ($off > 0.0 ? 'rearward' : 'forward') : ($off > 0.0 ? 'right' : 'left');

        return $isAcross
            ? sprintf('to the %s, %.0f° %s of it', $main, $offDeg, $other)
            : sprintf('%s, %.0f° to the %s', $main, $offDeg, $other);
    }
}
