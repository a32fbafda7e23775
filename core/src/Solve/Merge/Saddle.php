<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge;

use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * A branch on a main tube. The main flows along z; the branch points to (sin β, 0, cos β) with its centreline at y =
 * offset, and its stations count from where its centreline is nearest the main's, outward. Psi is 0 at (cos β, 0, −sin
 * β) and
 * 90°
 * at +y. Lengths in mm, angles in radians.
 *
 * The end of the branch is cut square through its wall and seats where its first edge touches: at each psi its station
 * is the greatest over the wall. Worked out from a line and a cylinder.
 */
final readonly class Saddle
{
    /** Steps of a line with a cusp at its flanks, as the seam of equal diameters has. */
    private const FINE_DEG = 0.05;

    /** Nearer than this is as far as the edge. */
    private const TOUCH_MM = 1e-9;

    private function __construct(
        public RoundTube $main,
        public RoundTube $branch,
        public float $angle,
        public float $offsetMm,
        public Seat $seat,
    ) {}

    /** @param  float  $angle  between the main's flow and the branch pointing out of it, above 0 and below π */
    public static function of(
        RoundTube $main,
        RoundTube $branch,
        float $angle,
        float $offsetMm,
        Seat $seat,
    ): self|Refusal {
        $saddle = new self($main, $branch, $angle, $offsetMm, $seat);
        $withinMm = $saddle->seatRadiusMm();
        $radiusMm = $branch->outsideMm();
        $apartMm = abs($offsetMm) - $withinMm - $radiusMm;
        $overMm = abs($offsetMm) + $radiusMm - $withinMm;

        return match (true) {
            $radiusMm > $withinMm => new Refusal('branch-too-large', 'branch.od', 2 * ($radiusMm - $withinMm)),
            $apartMm >= 0.0 => new Refusal('branch-misses', 'offset', $apartMm),
            $overMm > self::TOUCH_MM => new Refusal('offset-too-large', 'offset', $overMm),
            default => $saddle,
        };
    }

    /**
     * Radius of the hole's outline round the branch: its bore where it stands on the main, its outside where it goes
     * in.
     */
    public function holeRadiusMm(): float
    {
        return $this->seat === Seat::SetOn ? $this->branch->boreMm() : $this->branch->outsideMm();
    }

    /** The station at which the end is cut, all through its wall. */
    public function cutMm(float $psi): float
    {
        $seatMm = $this->seatRadiusMm();
        [$insideMm, $outsideMm] = [$this->branch->boreMm(), $this->branch->outsideMm()];
        $greatestMm = max($this->meetMm($psi, $insideMm, $seatMm), $this->meetMm($psi, $outsideMm, $seatMm));
        $lean = cos($psi) * cos($this->angle);
        if (abs(sin($psi)) > 1e-12) {
            // Between both edges it is greatest where its slope across the wall is none.
            $yMm = -$lean * $seatMm / hypot(sin($psi), $lean) * (sin($psi) <=> 0.0);
            $radiusMm = ($yMm - $this->offsetMm) / sin($psi);
            if ($radiusMm > $insideMm && $radiusMm < $outsideMm) {
                $greatestMm = max($greatestMm, $this->meetMm($psi, $radiusMm, $seatMm));
            }
        }

        return $greatestMm;
    }

    /** @return array{float, float} where the hole's outline lies on the main: the angle round it from +x to +y, and z */
    public function holeAt(float $psi): array
    {
        $at = $this->onMain($psi, $this->holeRadiusMm());

        return [atan2($at->y, $at->x), $at->z];
    }

    /** The end as it is cut, along the outside of the branch. */
    public function end(): CutLine
    {
        $radiusMm = $this->branch->outsideMm();

        return CutLine::trace(function (float $psi) use ($radiusMm): LinePoint {
            $sMm = $this->cutMm($psi);

            return new LinePoint($psi, $sMm, $this->point($psi, $sMm, $radiusMm));
        });
    }

    /** The outline of the hole on the outside of the main; its stations are z. */
    public function hole(): CutLine
    {
        return $this->onMainAround($this->holeRadiusMm());
    }

    /** True length of the line where both outsides meet; mm. */
    public function seamMm(): float
    {
        return $this->onMainAround($this->branch->outsideMm(), self::FINE_DEG)->lengthMm(CutLine::OUTLET);
    }

    /** Length of the hole's edge on the outside of the main; mm. */
    public function holeEdgeMm(): float
    {
        return $this->onMainAround($this->holeRadiusMm(), self::FINE_DEG)->lengthMm(CutLine::OUTLET);
    }

    /** Radius of the main that the end seats on. */
    private function seatRadiusMm(): float
    {
        return $this->seat === Seat::SetOn ? $this->main->outsideMm() : $this->main->boreMm();
    }

    /** Where all lines so far round the branch meet the outside of the main. */
    private function onMainAround(float $radiusMm, float $stepDeg = CutLine::STEP_DEG): CutLine
    {
        return CutLine::trace(function (float $psi) use ($radiusMm): LinePoint {
            $at = $this->onMain($psi, $radiusMm);

            return new LinePoint($psi, $at->z, $at);
        }, $stepDeg);
    }

    private function onMain(float $psi, float $radiusMm): Vector
    {
        return $this->point($psi, $this->meetMm($psi, $radiusMm, $this->main->outsideMm()), $radiusMm);
    }

    /**
     * Where a line along the branch leaves a cylinder round the main's axis: s(ψ) = [√(R² − y²) − r cos ψ cos β] / sin
     * β.
     */
    private function meetMm(float $psi, float $radiusMm, float $mainMm): float
    {
        $y = $this->offsetMm + $radiusMm * sin($psi);

        // At equal diameters the root is of a tiny negative number.
        return (sqrt(max(0.0, $mainMm ** 2 - $y ** 2)) - $radiusMm * cos($psi) * cos($this->angle)) / sin($this->angle);
    }

    private function point(float $psi, float $sMm, float $radiusMm): Vector
    {
        $outMm = $radiusMm * cos($psi);

        return new Vector(
            $sMm * sin($this->angle) + $outMm * cos($this->angle),
            $this->offsetMm + $radiusMm * sin($psi),
            $sMm * cos($this->angle) - $outMm * sin($this->angle),
        );
    }
}
