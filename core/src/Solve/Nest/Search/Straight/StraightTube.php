<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search\Straight;

use Closure;
use UpsweptBead\Core\Solve\Nest\Problem\CutRules;
use UpsweptBead\Core\Solve\Nest\Search\Donor;
use UpsweptBead\Core\Solve\Nest\Search\OpenCopy;
use UpsweptBead\Core\Solve\Nest\Search\Part;
use UpsweptBead\Core\Solve\Nest\Search\PlacedSpan;
use UpsweptBead\Core\Solve\Nest\Search\RunShape;
use UpsweptBead\Core\Solve\Nest\Search\TubeCutting;
use UpsweptBead\Core\Solve\Route\Search\Chance;

/** A tube of which only straight pieces are wanted: each run as one piece, packed into what straight stock there is. */
final readonly class StraightTube
{
    /**
     * @param  array<int, RunShape>  $shapes  by run
     * @param  list<Donor>  $donors
     * @param  Closure(): bool  $mayGoOn
     * @return array{TubeCutting|null, float} the best found, and what no plan costs less than
     */
    public static function cut(
        array $shapes,
        array $donors,
        CutRules $rules,
        Chance $chance,
        Closure $mayGoOn,
    ): array {
        $parts = [];
        foreach ($shapes as $shape) {
            $part = $shape->joints === [] ? $shape->part(0.0, $shape->endMm, -1) : null;
            if ($part === null) {
                return [null, 0.0];
            }
            $parts[] = $part;
        }
        $straights = new Straights($parts, $donors, $rules);
        $bound = StraightBound::of($straights);
        $bins = (new StraightNesting($straights, $chance, $mayGoOn, $bound))->best();

        return [$bins === null ? null : self::cutting($straights, $bins), $bound];
    }

    /** @param  list<array{kind: int, pieces: list<int>, used: int}>  $bins */
    private static function cutting(Straights $straights, array $bins): ?TubeCutting
    {
        $copies = $placed = [];
        $cost = 0.0;
        foreach ($bins as $key => ['kind' => $kind, 'pieces' => $pieces, 'used' => $used]) {
            $parts = array_map(static fn (int $piece): Part => $straights->parts[$piece], $pieces);
            $copy = OpenCopy::packed($straights->donors[$kind], $parts, $straights->rules);
            if ($copy === null) {
                return null;
            }
            $copies[$key] = $copy;
            foreach ($parts as $i => $part) {
                $placed[$part->run] = [new PlacedSpan($part, $key, $copy->taken[$i][0], false)];
            }
            $cost += $straights->cost($kind, count($pieces), $used);
        }

        return new TubeCutting($placed, $copies, $cost);
    }
}
