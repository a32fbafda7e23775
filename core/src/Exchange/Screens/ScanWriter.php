<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Solve\Scan\FittedCircle;
use UpsweptBead\Core\Solve\Scan\ScanFit;

/** Writes what a tap on a scan found, in the job's own axes. */
final readonly class ScanWriter
{
    /** No scan is surer of a direction than this, degrees; our own figure. */
    private const LEAST_DEG = 0.1;

    public function __construct(private FigureWriter $figures) {}

    /** @return array<string, mixed> */
    public function fit(ScanFit $fit, MeshSolid $solid): array
    {
        $way = $solid->wayOut($fit->way);

        return [
            'isFace' => $fit->isFace,
            'says' => sprintf(
                '%s, rough to %s; the way it points is sure to %s.',
                $fit->isFace ? 'A flat face' : 'The wall of a bore',
                $this->mm(max($fit->rmsMm, ScanFit::LEAST_ROUGH_MM)),
                // Twice the deviation: nineteen times in twenty.
                Quantity::Angle->show(max(self::LEAST_DEG, 2 * $fit->offDeg), $this->figures->units),
            ),
            'at' => self::place($solid->toJob($fit->at)),
            'way' => self::direction($way),
            'bores' => array_map(fn (FittedCircle $one): array => [
                'at' => self::place($solid->toJob($one->centre)),
                'diameter' => round(2 * $one->radiusMm, 2),
                'says' => sprintf(
                    '%s across, round to %s; its middle is sure to %s.',
                    $this->mm(2 * $one->radiusMm),
                    $this->mm(max($one->rmsMm, ScanFit::LEAST_ROUGH_MM)),
                    $this->mm(2 * $fit->centreSdMm($one)),
                ),
            ], $fit->bores),
        ];
    }

    private function mm(float $mm): string
    {
        return Quantity::Wall->show($mm, $this->figures->units);
    }

    /** @return list<float> */
    private static function place(Vector $at): array
    {
        return array_map(static fn (float $one): float => round($one, 3) + 0.0, $at->toArray());
    }

    /** @return list<float> */
    private static function direction(Vector $way): array
    {
        return array_map(static fn (float $one): float => round($one, 5) + 0.0, $way->toArray());
    }
}
