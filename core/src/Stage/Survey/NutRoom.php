<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Solid\Cylinder;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Shop\Practice\Shop;

/** Room for a socket on every nut of a flange: as wide as the nut across its corners, straight off the stud. */
final readonly class NutRoom
{
    /** @return list<Cylinder> named by the run and the nut */
    public static function of(Job $job, Shop $shop): array
    {
        $rooms = [];
        foreach ($job->runs as $run) {
            // Both flanges of a run are undone from its own side.
            foreach ([['', $run->start, 1.0], ['end ', $run->end, -1.0]] as [$which, $end, $off]) {
                array_push($rooms, ...self::at($end, "{$which}nut $run->letter", $off, $shop));
            }
        }

        return $rooms;
    }

    /** @return list<Cylinder> */
    private static function at(RunEnd $end, string $name, float $off, Shop $shop): array
    {
        $rooms = [];
        $frame = $end->frame();
        foreach ($end->nuts() as $i => [$at]) {
            $rooms[] = new Cylinder(
                $name.($i + 1),
                $at,
                $at->plus($frame->forward->times($off * $shop->rules->value('clear.socket_length'))),
                // A hexagon across its corners.
                ($end->bolts->flats->mm ?? 0.0) / sqrt(3), $shop->rules->value('clear.tool'),
            );
        }

        return $rooms;
    }
}
