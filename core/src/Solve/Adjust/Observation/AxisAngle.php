<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust\Observation;

use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Sighting;
use UpsweptBead\Core\Solve\Adjust\Slope;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/** An angle of one axis against level, plumb or a direction seen from above, from the side or from the front; degrees. */
final readonly class AxisAngle implements Sighting
{
    /**
     * @param  AngleOf  $of  which angle it is
     * @param  float  $zeroDeg  of a bearing: where it counts from
     */
    public function __construct(
        public string $end,
        public AngleOf $of,
        public float $valueDeg,
        public float $zeroDeg = 0.0,
    ) {}

    public function at(Estimate $estimate): Slope
    {
        [$x, $y, $z] = $estimate->axes[$this->end];
        [$computed, $by] = match ($this->of) {
            AngleOf::Dip => [-self::asin($z), [0.0, 0.0, -self::bySine($z)]],
            AngleOf::Forward => [self::asin($x), [self::bySine($x), 0.0, 0.0]],
            AngleOf::Left => [self::asin($y), [0.0, self::bySine($y), 0.0]],
            AngleOf::Bearing => [rad2deg(atan2($y, $x)) - $this->zeroDeg, self::turned($x, $y, 0, 1)],
            AngleOf::LeanFromSide => [rad2deg(atan2($x, $z)), self::turned($z, $x, 2, 0)],
            AngleOf::LeanFromFront => [rad2deg(atan2($y, $z)), self::turned($z, $y, 2, 1)],
        };

        return new Slope(Xyz::wrapped($this->valueDeg - $computed), [], [$this->end => $by]);
    }

    private static function asin(float $sine): float
    {
        return rad2deg(asin(max(-1.0, min(1.0, $sine))));
    }

    private static function bySine(float $sine): float
    {
        return rad2deg(1 / sqrt(max(1e-12, 1 - $sine ** 2)));
    }

    /**
     * How atan2(across, along) changes.
     *
     * @param  int<0, 2>  $alongIs
     * @param  int<0, 2>  $acrossIs
     * @return array{float, float, float}
     */
    private static function turned(float $along, float $across, int $alongIs, int $acrossIs): array
    {
        $square = max(1e-12, $along ** 2 + $across ** 2);

        return Xyz::plus(
            Xyz::times(Xyz::AXES[$alongIs], rad2deg(-$across / $square)),
            Xyz::AXES[$acrossIs],
            rad2deg($along / $square),
        );
    }
}
