<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

use UpsweptBead\Core\Base\Geometry\Frame;

/** A straight or a bend of a run where it lies in space, with its stations along the centreline in mm. */
final readonly class Segment
{
    /** @param  int|null  $bendIndex which bend of the run this is; null for a straight */
    public function __construct(
        public ?int $bendIndex,
        public Frame $start,
        public float $fromMm,
        public float $lengthMm,
        public float $clrMm = 0.0,
        public float $angleDeg = 0.0,
    ) {}

    public function toMm(): float
    {
        return $this->fromMm + $this->lengthMm;
    }

    public function frameAt(float $stationMm): Frame
    {
        $along = $stationMm - $this->fromMm;

        return $this->bendIndex === null
            ? $this->start->advanced($along)
            : $this->start->bent($this->clrMm, rad2deg($along / $this->clrMm));
    }
}
