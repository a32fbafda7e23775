<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;

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

    /**
     * The same as short lines, for distances; its pieces count as Chords count them.
     *
     * @param  float  $nearMm  so much of its end may come nearer to its neighbours
     * @param  float  $stepRad  the most that a chord may turn
     */
    public function chords(float $odMm, float $nearMm, float $stepRad): Chords
    {
        $turning = array_sum(array_map(static fn (Segment $one): float => deg2rad($one->angleDeg), $this->segments));
        $chords = new Chords($odMm, $this->lengthMm, $turning, $this->lengthMm - $nearMm, $stepRad);
        foreach ($this->pieces() as $piece) {
            [$at, $u, $n] = [$piece->start->at, $piece->start->forward, $piece->start->reference];
            if ($piece->bendIndex === null) {
                $chords->straight($at->x, $at->y, $at->z, $u->x, $u->y, $u->z, $piece->lengthMm);
            } else {
                $angle = deg2rad($piece->angleDeg);
                $chords->bend($at->x, $at->y, $at->z, $u->x, $u->y, $u->z, $n->x, $n->y, $n->z, $piece->clrMm, $angle);
            }
        }

        return $chords;
    }

    /** Where on it a contact lies, which Chords measured. */
    public function placeOf(int $piece, float $share): Vector
    {
        $one = $this->pieces()[$piece] ?? throw new \OutOfBoundsException("The run has no piece $piece.");

        return $one->frameAt($one->fromMm + $share * $one->lengthMm)->at;
    }

    /** @return list<Segment> straight, bend, straight, bend … straight; straights of no length among them */
    private function pieces(): array
    {
        $pieces = [];
        foreach ($this->segments as $segment) {
            if ($segment->bendIndex !== null && count($pieces) % 2 === 0) {
                $pieces[] = new Segment(null, $segment->start, $segment->fromMm, 0.0);
            }
            $pieces[] = $segment;
        }
        if (count($pieces) % 2 === 0) {
            $pieces[] = new Segment(null, $this->end, $this->lengthMm, 0.0);
        }

        return $pieces;
    }
}
