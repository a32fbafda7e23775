<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Merge\LinePoint;

/**
 * The wall of one tube of a collector as it is drawn: lines along it from its mouth to its cut, once outside and once
 * inside, all the way round. In the collector's own frame, for its first tube; the others stand turned about the axis.
 */
final readonly class CollectorSkin
{
    private const EVERY_DEG = 10.0;

    /** A bend is drawn in steps of this (degrees). */
    private const BEND_DEG = 7.5;

    /**
     * @param  list<list<Vector>>  $outside
     * @param  list<list<Vector>>  $inside
     */
    private function __construct(public array $outside, public array $inside) {}

    public static function of(CollectorShape $shape, float $wallMm): self
    {
        $outside = $inside = [];
        $collector = $shape->finished;
        foreach (self::rows($collector->line(0, self::EVERY_DEG)->points) as $point) {
            $inMm = $collector->row(0, $point->psi)['s_inside'] ?? $point->sMm;
            $along = static fn (float $endMm, float $depthMm): array => array_map(
                static fn (float $sMm): Vector => $collector->at(0, $point->psi, $sMm, $depthMm),
                self::stations($shape, $endMm),
            );
            $outside[] = $along($point->sMm, 0.0);
            $inside[] = $along($inMm, $wallMm);
        }

        return new self($outside, $inside);
    }

    /**
     * @param  non-empty-list<LinePoint>  $points
     * @return list<LinePoint> without those that stand where another stands
     */
    private static function rows(array $points): array
    {
        $rows = [];
        foreach ($points as $point) {
            $last = $rows[count($rows) - 1] ?? null;
            if ($last === null || $point->psi - $last->psi > 1e-6) {
                $rows[] = $point;
            }
        }

        return $rows;
    }

    /** @return list<float> so many for each line, whichever way it is long */
    private static function stations(CollectorShape $shape, float $endMm): array
    {
        $bend = $shape->bend;
        if ($bend === null) {
            return [0.0, $endMm];
        }
        $steps = max(1, (int) ceil(rad2deg($bend->angle) / self::BEND_DEG));
        $stations = [0.0];
        for ($i = 0; $i <= $steps; $i++) {
            $stations[] = min($endMm, $bend->inletLegMm + $bend->clrMm * $bend->angle * $i / $steps);
        }

        return [...$stations, $endMm];
    }
}
