<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Flatness\Face;
use UpsweptBead\Core\Base\Flatness\Flatness;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

/** Writes how flat a face is: its map, what comes off where, and the verdict on the land that seals. */
final readonly class FlatnessWriter
{
    /**
     * @param  array<string, float>  $readingsMm  by the name of their point
     * @return array{flat: bool|null, verdict: string, points: list<array<string, mixed>>}
     */
    public static function map(Face $face, array $readingsMm, UnitSystem $units): array
    {
        $found = $face->judge($readingsMm);
        if ($found === null) {
            return [
                'flat' => null,
                'verdict' => sprintf(
                    'Read %d points at least, not all on one line; through three there is always a plane.',
                    Flatness::LEAST_POINTS,
                ),
                'points' => [],
            ];
        }
        $show = static fn (float $mm): string => Quantity::Wall->show($mm, $units);
        $points = [];
        foreach ($found->highMm as $name => $mm) {
            $points[] = [
                'name' => $name,
                'share' => round($mm / max(1e-9, $found->peakToValleyMm), 3),
                'high' => $show($mm),
                'down' => isset($found->takeDownMm[$name]) ? $show($found->takeDownMm[$name]) : '',
            ];
        }
        $by = "{$show($found->peakToValleyMm)} from the highest to the lowest, at most {$show($found->limitMm)}";

        return [
            'flat' => $found->isFlat(),
            'verdict' => match (true) {
                ! $found->isFlat() => "Out of flat: $by. Take down what stands out, and measure anew.",
                count($face->lands) > 1 => "They lie in one plane: $by.",
                default => "The land seals: $by.",
            },
            'points' => $points,
        ];
    }
}
