<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Scan;

use UpsweptBead\Core\Base\Geometry\Vector;

/** Round holes in a face: where edges of it have no other facet of it behind them. Lengths in mm. */
final readonly class Openings
{
    /** So much of the way round has to be there; our own figure. */
    private const COVERED = 0.6;

    /** Corners this near are one, mm. */
    private const SAME_MM = 1e-3;

    /**
     * @param  array<int|string, list<string>>  $joined  the places that each open edge leads to
     * @param  array<int|string, Vector>  $behind  the middle of the facet behind an open edge
     */
    private function __construct(private array $joined, private array $behind) {}

    /**
     * @param  list<Facet>  $facets  of the face
     * @return list<FittedCircle> those that may be ports, the nearest to the tap first
     */
    public static function of(array $facets, Vector $normal, Vector $tap): array
    {
        $edges = $places = $owners = [];
        foreach ($facets as $one) {
            $keys = array_map(self::key(...), $one->corners);
            foreach ([[0, 1], [1, 2], [2, 0]] as [$i, $j]) {
                $places[$keys[$i]] = $one->corners[$i];
                $edge = $keys[$i] < $keys[$j] ? "$keys[$i]|$keys[$j]" : "$keys[$j]|$keys[$i]";
                $edges[$edge] = ($edges[$edge] ?? 0) + 1;
                $owners[$edge] = $one->middle;
            }
        }
        $joined = $behind = [];
        foreach ($edges as $edge => $count) {
            if ($count === 1) {
                [$from, $to] = explode('|', $edge);
                $behind[$from] = $owners[$edge];
                $joined[$from][] = $to;
                $joined[$to][] = $from;
            }
        }
        $open = new self($joined, $behind);
        $circles = [];
        $seen = [];
        foreach (array_keys($joined) as $first) {
            $loop = $open->reached("$first", $seen);
            $circle = FittedCircle::of(array_map(static fn (string $one): Vector => $places[$one], $loop), $normal);
            if ($circle !== null && $circle->mayBePort(self::COVERED) && $open->isHole($circle, $loop)) {
                $circles[] = $circle;
            }
        }
        $rimMm = static fn (FittedCircle $one): float => abs($one->centre->distanceTo($tap) - $one->radiusMm);
        usort($circles, static fn (FittedCircle $a, FittedCircle $b): int => $rimMm($a) <=> $rimMm($b));

        return $circles;
    }

    /**
     * Whether the face lies outside of an edge, not within it as at its own rim.
     *
     * @param  list<string>  $loop
     */
    private function isHole(FittedCircle $circle, array $loop): bool
    {
        $outside = $all = 0;
        foreach ($loop as $place) {
            if (isset($this->behind[$place])) {
                $all++;
                $outside += $circle->centre->distanceTo($this->behind[$place]) > $circle->radiusMm ? 1 : 0;
            }
        }

        return 2 * $outside > $all;
    }

    /**
     * All places that a chain of edges leads to.
     *
     * @param  array<string, true>  $seen
     * @return list<string>
     */
    private function reached(string $first, array &$seen): array
    {
        if (isset($seen[$first])) {
            return [];
        }
        $seen[$first] = true;
        $loop = [];
        $open = [$first];
        while ($open !== []) {
            $here = array_pop($open);
            $loop[] = $here;
            foreach ($this->joined[$here] ?? [] as $next) {
                if (! isset($seen[$next])) {
                    $seen[$next] = true;
                    $open[] = $next;
                }
            }
        }

        return $loop;
    }

    private static function key(Vector $one): string
    {
        return sprintf(
            '%d,%d,%d',
            (int) round($one->x / self::SAME_MM),
            (int) round($one->y / self::SAME_MM),
            (int) round($one->z / self::SAME_MM),
        );
    }
}
