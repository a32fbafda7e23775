<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Collector;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Merge\CutLine;

/** Tubes round an axis that become one. The axis is z, with the flow, and the inlet plane is z = 0; mm. */
interface MergeCollector
{
    /** @return list<string> the tubes in their order round the axis, clockwise seen with the flow */
    public function ids(): array;

    /** Where it ends: z of the outlet plane. */
    public function planeMm(): float;

    /** Of the circle round all tubes there. */
    public function diameterMm(): float;

    /** Where the outside of a tube is cut. */
    public function line(int $tube, float $stepDeg = CutLine::STEP_DEG): CutLine;

    /** A point of a tube, so deep below its outside; psi in radians. */
    public function at(int $tube, float $psi, float $sMm, float $depthMm = 0.0): Vector;

    /**
     * One row of a tube's table.
     *
     * @param  float  $psi  in radians
     * @return array<string, float>
     */
    public function row(int $tube, float $psi): array;
}
