<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Run\RouteChoice;

/** Which values of a route were changed, from what to what, in words. */
final readonly class RouteMoves
{
    /** What is less is not shown as a change: mm and degrees. */
    private const SHOWN = 0.05;

    /** @return list<string> empty where nothing moved, or where the bends are not the same ones */
    public static function between(RouteChoice $then, RouteChoice $now, UnitSystem $units): array
    {
        if (count($then->rows) !== count($now->rows)) {
            return [];
        }
        $values = [];
        foreach ($then->rows as $i => $row) {
            $bend = $i + 1;
            $after = $now->rows[$i];
            $values[] = ["straight before bend $bend", Quantity::Length, $row->straight->mm, $after->straight->mm];
            $values[] = ["turn of bend $bend", Quantity::Angle, $row->rotationDeg, $after->rotationDeg];
            $values[] = ["bend $bend", Quantity::Angle, $row->angleDeg, $after->angleDeg];
        }
        $values[] = ['straight after the last bend', Quantity::Length, $then->endStraight->mm, $now->endStraight->mm];
        $lines = [];
        foreach ($values as [$what, $of, $before, $after]) {
            if (abs($after - $before) >= self::SHOWN) {
                $lines[] = "$what {$of->read($before, $units)}, now {$of->read($after, $units)}";
            }
        }

        return $lines;
    }
}
