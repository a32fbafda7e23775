<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Solve\Route\Search\Hindrance;
use UpsweptBead\Core\Solve\Route\Search\Lack;
use UpsweptBead\Core\Solve\Route\Search\SetAnswer;
use UpsweptBead\Core\Solve\Route\Search\Way;

/** Writes an answer in the open route solution format (docs/route-problem.md). */
final readonly class RouteSolutionWriter
{
    public const FORMAT = 'route-solution/1';

    /** @return array<string, mixed> */
    public static function toArray(RouteProblem $problem, SetAnswer $answer): array
    {
        $written = ['format' => self::FORMAT, 'case' => $problem->name, 'status' => $answer->status->value];
        if ($answer->ways !== []) {
            $written['runners'] = array_map(self::runner(...), $answer->ways);
            $written['objective'] = round($answer->objective, 4);
            $written['first_seconds'] = round($answer->firstSeconds, 4);
            $written['best_seconds'] = round($answer->bestSeconds, 4);
        }
        if ($answer->reasons !== []) {
            $written['reasons'] = array_map(static fn (Hindrance $reason): array => array_filter([
                'runner' => $reason->runner,
                'keepout' => $reason->what === Lack::Clearance ? $reason->by : null,
                'other' => $reason->what === Lack::Gap ? $reason->by : null,
                'what' => $reason->what->value,
                'by' => round($reason->amount, 2),
                'opens' => $reason->opens,
            ], static fn (mixed $value): bool => $value !== null), $answer->reasons);
        }
        if ($answer->nearest !== null) {
            $written['nearest'] = [
                'runner' => $answer->nearest->runner,
                'other' => $answer->nearest->other,
                'what' => $answer->nearest->what->value,
                'by' => round($answer->nearest->byMm, 2),
            ];
        }

        return $written;
    }

    /** @return array<string, mixed> */
    private static function runner(Way $way): array
    {
        $inner = array_slice($way->vertices, 3, 3 * $way->bends());

        return [
            'id' => $way->span->port->id,
            'inlet' => $way->span->inlet->id,
            'vertices' => array_map(
                static fn (array $point): array => array_map(static fn (float $x): float => round($x, 6), $point),
                array_chunk($inner, 3),
            ),
            'radii' => $way->radii,
            'length' => round($way->length, 3),
            'angles' => array_map(static fn (float $angle): float => round(rad2deg($angle), 3), $way->angles),
        ];
    }
}
