<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

use UpsweptBead\Core\Base\Units\UnitSystem;

/** In what the pieces and joints of a plan differ from those of an earlier one, run by run, in the units of the job. */
final readonly class PlanChanges
{
    /** @return array<string, list<string>> lines by the letter of the run or collector; none where nothing differs */
    public static function between(Outline $then, Outline $now, UnitSystem $units): array
    {
        $words = new MadeWords($units);
        $lines = [];
        foreach ($then->pieces + $now->pieces as $mark => $one) {
            [$before, $after] = [$then->pieces[$mark] ?? null, $now->pieces[$mark] ?? null];
            if ($before === null || $after === null) {
                $lines[$one->run][] = $after === null ? "$mark is no longer needed." : "$mark is new.";

                continue;
            }
            $fit = (new MadePiece($before, $then->tubeOf($mark), 0.0))->as($after, $now->tubeOf($mark));
            if (! $fit->isSame()) {
                $lines[$one->run][] = "$mark: {$words->differences($fit->never === [] ? $fit->otherwise : $fit->never)}.";
            }
        }
        foreach ($then->joints + $now->joints as $id => $one) {
            [$before, $after] = [$then->joints[$id] ?? null, $now->joints[$id] ?? null];
            $differences = $before === null || $after === null ? [] : $before->against($after);
            if ($differences !== []) {
                $lines[$one->run][] = "$id: {$words->differences($differences)}.";
            }
        }
        ksort($lines);

        return $lines;
    }
}
