<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;

/** A chain of straights and bends from a start frame: the LRA form of a run, exact in both directions to XYZ. */
final readonly class TubeRun
{
    /** @param  list<Bend>  $bends */
    public function __construct(public Frame $start, public array $bends, public float $endStraightMm) {}

    /**
     * Makes the run that follows a polyline with its corners rounded.
     *
     * The first and last points are the ends of the centreline; every point between is a vertex with its own radius.
     *
     * @param  list<Vector>  $points  at least two, mm
     * @param  list<float>  $clrsMm  one a vertex
     *
     * @throws \DomainException if there are too few points, two coincide, a corner does not turn, or a leg is shorter
     *                          than the setbacks of its bends
     */
    public static function fromXyz(array $points, array $clrsMm, ?Vector $referenceHint = null): self
    {
        if (count($points) < 2 || count($clrsMm) !== count($points) - 2) {
            throw new \DomainException('A run needs two ends and one radius for every point between them.');
        }
        $start = $frame = Frame::facing($points[0], $points[1]->minus($points[0]), $referenceHint);
        [$bends, $setback] = [[], 0.0];
        foreach ($clrsMm as $i => $clrMm) {
            [$leg, $next] = [$points[$i + 1]->minus($points[$i]), $points[$i + 2]->minus($points[$i + 1])];
            $angleDeg = $frame->forward->angleDegTo($next->unit());
            if ($angleDeg < 1e-9) {
                throw new \DomainException(sprintf('Point %d lies on a straight line; a vertex must turn.', $i + 2));
            }
            $bend = new Bend(0.0, $frame->turnDegTo($next), $angleDeg, $clrMm);
            $bends[] = $bend->with(straightMm: self::left($leg->length() - $setback - $bend->setbackMm(), $i + 1));
            $setback = $bend->setbackMm();
            $frame = $frame->turned($bend->rotationDeg)->bent($clrMm, $angleDeg);
        }
        $last = count($points) - 1;

        return new self($start, $bends, self::left($points[$last]->distanceTo($points[$last - 1]) - $setback, $last));
    }

    /**
     * Gives the two ends and the vertices between them, in mm.
     *
     * @return list<Vector>
     *
     * @throws \DomainException if a bend turns half a turn or more, which has no vertex
     */
    public function toXyz(): array
    {
        $points = [$this->start->at];
        foreach ($this->segments() as $segment) {
            if ($segment->bendIndex !== null) {
                if ($segment->angleDeg >= 179.999) {
                    throw new \DomainException(
                        sprintf(
                            'Bend %d turns half a turn or more and has no vertex; give it as LRA.',
                            $segment->bendIndex + 1,
                        ),
                    );
                }
                $points[] = $segment->start->advanced($this->bends[$segment->bendIndex]->setbackMm())->at;
            }
        }

        return [...$points, $this->end()->at];
    }

    /** @return list<Segment> in the order of flow; straights of no length are left out */
    public function segments(): array
    {
        [$segments, $frame, $station] = [[], $this->start, 0.0];
        foreach ($this->bends as $i => $bend) {
            if ($bend->straightMm > 1e-9) {
                $segments[] = new Segment(null, $frame, $station, $bend->straightMm);
            }
            $frame = $frame->advanced($bend->straightMm)->turned($bend->rotationDeg);
            $station += $bend->straightMm;
            $segments[] = new Segment($i, $frame, $station, $bend->arcMm(), $bend->clrMm, $bend->angleDeg);
            $frame = $frame->bent($bend->clrMm, $bend->angleDeg);
            $station += $bend->arcMm();
        }
        if ($this->endStraightMm > 1e-9) {
            $segments[] = new Segment(null, $frame, $station, $this->endStraightMm);
        }

        return $segments;
    }

    public function end(): Frame
    {
        $frame = $this->start;
        foreach ($this->bends as $bend) {
            $frame = $frame
                ->advanced($bend->straightMm)
                ->turned($bend->rotationDeg)
                ->bent($bend->clrMm, $bend->angleDeg);
        }

        return $frame->advanced($this->endStraightMm);
    }

    /** The frame at a distance along the centreline, held to the run's ends; for many places lay it out once. */
    public function frameAt(float $stationMm): Frame
    {
        return Centreline::of($this)->frameAt($stationMm);
    }

    public function lengthMm(): float
    {
        return array_sum(
            array_map(static fn (Bend $bend): float => $bend->straightMm + $bend->arcMm(), $this->bends),
        ) + $this->endStraightMm;
    }

    public function turningDeg(): float
    {
        return array_sum(array_map(static fn (Bend $bend): float => $bend->angleDeg, $this->bends));
    }

    /** @return list<float> the straights in mm, first to last: one more than there are bends */
    public function straightsMm(): array
    {
        return [...array_map(static fn (Bend $bend): float => $bend->straightMm, $this->bends), $this->endStraightMm];
    }

    private static function left(float $mm, int $leg): float
    {
        if ($mm < -1e-6) {
            throw new \DomainException(sprintf('Leg %d is %.2f mm too short for the bends at its ends.', $leg, -$mm));
        }

        return max($mm, 0.0);
    }
}
