<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

use UpsweptBead\Core\Stage\Joint\Joint;

/** The order in which the ports of a flange are welded: one side, then the other, as its bolts are drawn up. */
final readonly class Hopping
{
    /**
     * @param  list<Joint>  $joints
     * @return list<Joint>
     */
    public static function over(array $joints): array
    {
        usort($joints, static fn (Joint $a, Joint $b): int => strnatcmp($a->id, $b->id));
        $half = intdiv(count($joints) + 1, 2);
        $order = [];
        for ($i = 0; $i < $half; $i++) {
            array_push($order, $joints[$i], ...array_slice($joints, $half + $i, $half + $i < count($joints) ? 1 : 0));
        }

        return $order;
    }
}
