<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;

/**
 * The last word on a set: everything measured again from its vertices on fine lines, nothing carried over from the
 * search.
 */
final readonly class Proof
{
    /** Lines stand within this of the arcs. */
    private const EXACT = 0.015;

    /** @param  list<Way>  $ways */
    public static function holds(RouteProblem $problem, array $ways): bool
    {
        return self::miss($problem, $ways) === null;
    }

    /**
     * Gives what a set misses most, or null if everything holds.
     *
     * @param  list<Way>  $ways
     */
    public static function miss(RouteProblem $problem, array $ways): ?Miss
    {
        $worst = null;
        $take = static function (float $by, string $runner, string $other, Lack $what) use (&$worst): void {
            if ($by > self::EXACT && ($worst === null || $by > $worst->byMm)) {
                $worst = new Miss($runner, $other, $what, $by);
            }
        };
        $rules = $problem->rules;
        $fine = [];
        foreach ($ways as $way) {
            $fine[] = $again = Way::of(
                $way->span,
                array_slice($way->vertices, 3, 3 * $way->bends()),
                $way->radii,
            )->cut(Chords::FINE);
            $id = $way->span->port->id;
            $take($again->breach(), $id, '', Lack::Bend);
            $take(WayClearance::itself($again, $rules->gapMm, 0.0, 1.5), $id, $id, Lack::Gap);
            foreach ($problem->keepOuts as $solid) {
                $take(WayClearance::solid($again, $solid, $rules->clearanceMm, 0.0), $id, $solid->id, Lack::Clearance);
            }
        }
        foreach ($fine as $i => $way) {
            for ($j = $i + 1; $j < count($fine); $j++) {
                $take(
                    WayClearance::pair($way, $fine[$j], $rules->gapMm, 0.0),
                    $way->span->port->id,
                    $fine[$j]->span->port->id,
                    Lack::Gap,
                );
            }
        }
        $take((new Groups($problem->lengths))->breach($fine), $ways[0]->span->port->id, '', Lack::Length);

        return $worst;
    }
}
