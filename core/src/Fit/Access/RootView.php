<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit\Access;

use UpsweptBead\Core\Geometry\Frame;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Layout\RoutedRun;

/** Whether the root of a joint is seen through the bore from an open end of its run, how much of it, and from how far. */
final readonly class RootView
{
    /** So many places round the root, and eyes across the opening, are looked at. */
    private const PLACES = 12;

    /** Looked along in steps of this (mm). */
    private const STEP_MM = 4.0;

    /** What grazes the wall is not seen: a sight line keeps this off it (mm). */
    private const GRAZE_MM = 0.5;

    /**
     * @param  float  $share  of the root that is seen from the better end, 0 to 1
     * @param  string  $from  'start' or 'end'; '' where it is not seen
     */
    private function __construct(public float $share, public string $from, public float $distanceMm) {}

    /** Of what no tube is round. */
    public static function none(): self
    {
        return new self(0.0, '', 0.0);
    }

    public static function of(RoutedRun $routed, float $stationMm): self
    {
        $boreMm = $routed->tube->idMm() / 2 - self::GRAZE_MM;
        $best = self::none();
        foreach (['start' => 0.0, 'end' => $routed->line->lengthMm] as $from => $endMm) {
            $share = self::seen($routed, $stationMm, $endMm, $boreMm);
            $awayMm = abs($stationMm - $endMm);
            if ($share > $best->share || ($share === $best->share && $share > 0.0 && $awayMm < $best->distanceMm)) {
                $best = new self($share, $from, $awayMm);
            }
        }

        return $best;
    }

    private static function seen(RoutedRun $routed, float $stationMm, float $endMm, float $boreMm): float
    {
        $root = self::ring($routed->line->frameAt($stationMm), $boreMm);
        $end = $routed->line->frameAt($endMm);
        $eyes = [$end->at, ...self::ring($end, 0.6 * $boreMm)];
        $steps = max(1, (int) ceil(abs($stationMm - $endMm) / self::STEP_MM));
        $middles = array_map(
            static fn (int $i): Vector => $routed->line->frameAt($endMm + ($stationMm - $endMm) * $i / $steps)->at,
            range(0, $steps),
        );
        $seen = array_filter($root, static function (Vector $place) use ($eyes, $middles, $boreMm): bool {
            foreach ($eyes as $eye) {
                if (self::isFree($eye, $place, $middles, $boreMm)) {
                    return true;
                }
            }

            return false;
        });

        return count($seen) / self::PLACES;
    }

    /**
     * Whether a sight line stays within the bore.
     *
     * @param  non-empty-list<Vector>  $middles  from the eye's end to the joint
     */
    private static function isFree(Vector $eye, Vector $place, array $middles, float $boreMm): bool
    {
        $way = $place->minus($eye);
        $square = $way->dot($way);
        foreach ($middles as $middle) {
            $t = $square > 0.0 ? max(0.0, min(1.0, $middle->minus($eye)->dot($way) / $square)) : 0.0;
            if ($eye->plus($way->times($t))->distanceTo($middle) > $boreMm + 1e-6) {
                return false;
            }
        }

        return true;
    }

    /** @return non-empty-list<Vector> */
    private static function ring(Frame $at, float $radiusMm): array
    {
        return array_map(
            static fn (int $i): Vector => $at->at->plus(
                $at->turned(360.0 * $i / self::PLACES)->reference->times($radiusMm),
            ),
            range(0, self::PLACES - 1),
        );
    }
}
