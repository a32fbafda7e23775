<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * The gap between two tubes that stand, as it is read round it: looking with the flow, at 12, 3, 6 and 9 o'clock, with
 * how far the far tube stands proud at 12 and at 3. Handbook 16. Its axes: x to 12 o'clock, y to 3 o'clock, z with the
 * flow, from the middle of the near end.
 */
final readonly class StandingGap
{
    /** Readings that differ by more than this many of their own doubts do not belong together; common practice. */
    private const BEYOND = 3.0;

    /** Newton's steps to where the near end points; usual tilts take four or so. */
    private const MOST_STEPS = 40;

    /** How far it is turned to see what that does, and the most it is turned at once; of a unit vector. */
    private const TRIED = 1e-6;

    private const LONGEST = 0.3;

    /** Two turns that do nearly the same tell nothing apart. */
    private const FLAT = 1e-9;

    /** Of a unit vector, what is left off. */
    private const STILL = 1e-10;

    /** The middle of the far end. */
    public Vector $far;

    /** The way the far tube runs on. */
    public Vector $onward;

    /**
     * @param  array{float, float, float, float}  $gapsMm  at 12, 3, 6 and 9 o'clock
     * @param  float  $proud12Mm  of the far tube; negative where it stands back
     * @param  float  $sigmaMm  how far each reading may be off
     */
    public function __construct(
        public array $gapsMm,
        public float $proud12Mm,
        public float $proud3Mm,
        public float $odMm,
        public float $sigmaMm,
    ) {
        [$at12, $at3, $at6, $at9] = $gapsMm;
        [$up, $right] = [($at12 - $at6) / $odMm, ($at3 - $at9) / $odMm];
        $this->onward = (new Vector(-$up, -$right, 1.0))->unit();
        $this->far = new Vector(
            $proud12Mm,
            $proud3Mm,
            array_sum($gapsMm) / 4 + $up * $proud12Mm + $right * $proud3Mm,
        );
    }

    /**
     * Where the near end stands, from where the far one does. Its own 12 o'clock is up, so the way it points is found by
     * Newton's steps: both small turns of it are tried, and what is left off is taken up by the two together.
     *
     * @throws \DomainException if it leans so far that 12 o'clock says nothing
     */
    public function nearOf(Frame $far): Frame
    {
        $off = fn (Vector $forward): Vector => $this->inAxes(Frame::facing($far->at, $forward), $this->onward)
            ->minus($far->forward);
        $forward = $far->forward;
        for ($i = 0; $i < self::MOST_STEPS; $i++) {
            $near = Frame::facing($far->at, $forward);
            $left = $off($forward);
            if ($left->length() < self::STILL) {
                return Frame::facing($far->at->minus($this->inAxes($near, $this->far)), $forward);
            }
            $ways = [$near->reference, $near->turned(90.0)->reference];
            [$u, $v] = array_map(static fn (Vector $way): Vector => $off(
                $forward->plus($way->times(self::TRIED))->unit(),
            )->minus($left)->times(1 / self::TRIED), $ways);
            [$uu, $uv, $vv] = [$u->dot($u), $u->dot($v), $v->dot($v)];
            $square = $uu * $vv - $uv ** 2;
            if ($square < self::FLAT) {
                break;
            }
            $a = ($uv * $v->dot($left) - $vv * $u->dot($left)) / $square;
            $b = ($uv * $u->dot($left) - $uu * $v->dot($left)) / $square;
            $step = $ways[0]->times($a)->plus($ways[1]->times($b));
            $part = min(1.0, self::LONGEST / max($step->length(), self::STILL));
            $forward = $forward->plus($step->times($part))->unit();
        }
        throw new \DomainException(
            'These readings do not say which way the end that stands points: it is too steep for a 12 o’clock.',
        );
    }

    /** Out of the gap's own axes: to 12, to 3, and with the flow. */
    private function inAxes(Frame $near, Vector $one): Vector
    {
        return $near->reference->times($one->x)
            ->plus($near->turned(90.0)->reference->times($one->y))
            ->plus($near->forward->times($one->z));
    }

    /** How far the far tube leans from the near one, degrees. */
    public function tiltDeg(): float
    {
        return $this->onward->angleDegTo(new Vector(0.0, 0.0, 1.0));
    }

    /** One standard deviation of that: two readings across a diameter. */
    public function tiltSdDeg(): float
    {
        return rad2deg(sqrt(2) * $this->sigmaMm / $this->odMm);
    }

    /** One standard deviation of the length in the middle: four readings. */
    public function lengthSdMm(): float
    {
        return $this->sigmaMm / 2;
    }

    /** By how much the readings at 12 and 6 disagree with those at 3 and 9, mm: both pairs have the same middle. */
    public function quarrelMm(): float
    {
        [$at12, $at3, $at6, $at9] = $this->gapsMm;

        return abs($at12 + $at6 - $at3 - $at9) / 2;
    }

    /** Whether one of the four must be wrong; which of them nothing tells. */
    public function isAtOdds(): bool
    {
        return $this->quarrelMm() > self::BEYOND * $this->sigmaMm;
    }
}
