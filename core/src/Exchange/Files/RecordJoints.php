<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Stage\Plan\Plan;

/** The joints of a plan as the open record has them, in the order they are welded; numbers in base units. */
final readonly class RecordJoints
{
    /** @return list<array{id: string, between: string, and: string, type: string, station: float, planned: array<string, mixed>}> */
    public static function of(Plan $plan): array
    {
        $number = static fn (Figure $one): float => round($one->value, 4);
        $joints = [];
        foreach ($plan->schedule->slots as $slot) {
            $joint = $slot->joint;
            $sheet = $plan->weld->sheets[$joint->id];
            $joints[] = [
                'id' => $joint->id,
                'between' => $joint->between->name,
                'and' => $joint->and->name,
                'type' => $joint->type->value,
                'station' => round($joint->seam->stationMm, 3),
                'planned' => [
                    ...array_map(static fn (Choice $one): string => $one->value, $sheet->choices),
                    ...array_map($number, $sheet->settings),
                    'purge' => $sheet->isFilled() ? array_map($number, $sheet->purge->figures) : null,
                ],
            ];
        }

        return $joints;
    }
}
