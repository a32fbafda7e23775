<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

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
