<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Run;

use UpsweptBead\Core\Geometry\Frame;
use UpsweptBead\Core\Geometry\Vector;

/** A run laid out in space once, to be asked at many places; stations in mm from its start along the centreline. */
final readonly class Centreline
{
    /** @param  list<Segment>  $segments  in the order of flow */
    private function __construct(
        public array $segments,
        public Frame $start,
        public Frame $end,
        public float $lengthMm,
    ) {}

    public static function of(TubeRun $run): self
    {
        return new self($run->segments(), $run->start, $run->end(), $run->lengthMm());
    }

    /** The frame at a station, held to the ends. */
    public function frameAt(float $stationMm): Frame
    {
        foreach ($this->segments as $segment) {
            if ($stationMm <= $segment->toMm()) {
                return $segment->frameAt(max($stationMm, 0.0));
            }
        }

        return $this->end;
    }

    /**
     * Points from end to end, at most so far apart along it; every tangent point is one.
     *
     * @return non-empty-list<Vector>
     */
    public function points(float $everyMm): array
    {
        $points = [$this->start->at];
        foreach ($this->segments as $segment) {
            $steps = max(1, (int) ceil($segment->lengthMm / $everyMm));
            for ($i = 1; $i <= $steps; $i++) {
                $points[] = $segment->frameAt($segment->fromMm + $segment->lengthMm * $i / $steps)->at;
            }
        }

        return $points;
    }

    /**
     * So many equal steps from end to end: one point more than steps.
     *
     * @return non-empty-list<Vector>
     */
    public function inSteps(int $steps): array
    {
        $points = [$this->start->at];
        for ($i = 1; $i <= $steps; $i++) {
            $points[] = $this->frameAt($this->lengthMm * $i / $steps)->at;
        }

        return $points;
    }
}
