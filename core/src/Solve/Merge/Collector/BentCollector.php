<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Collector;

use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Merge\CutLine;
use UpsweptBead\Core\Solve\Merge\LinePoint;
use UpsweptBead\Core\Solve\Merge\RoundTube;

/**
 * Equal tubes with inlets along the axis that bend towards it. They meet on planes through the axis halfway between
 * neighbours; the cut may run on into the legs behind the bends. Psi is 0 on the outer side of the bend.
 */
final readonly class BentCollector implements MergeCollector
{
    /** @param  list<string>  $ids */
    private function __construct(
        private array $ids,
        private RoundTube $tube,
        private MergeBend $bend,
        private float $inletMm,
        private float $planeMm,
        private float $diameterMm,
    ) {}

    /**
     * @param  non-empty-array<array-key, RoundTube>  $tubes  two to six by their names, evenly round the axis
     * @param  float  $inletMm  from the axis to the centre of every inlet
     * @param  bool  $mayBeOpen  whether the middle may be open at the outlet, to be closed with a plate
     */
    public static function of(
        array $tubes,
        MergeBend $bend,
        float $inletMm,
        Outlet $outlet,
        bool $mayBeOpen = false,
    ): self|Refusal {
        $ods = array_map(static fn (RoundTube $one): float => $one->odMm, $tubes);
        if (max($ods) > min($ods)) {
            return new Refusal('unequal-tubes', 'tubes.od', max($ods) - min($ods));
        }
        $tube = array_values($tubes)[0];
        $radiusMm = $tube->outsideMm();
        if ($bend->clrMm <= $radiusMm) {
            return new Refusal('bend-too-tight', 'bend.clr', $radiusMm - $bend->clrMm);
        }
        // Legs along the axis touch where the inlet circle is as wide as this.
        $leastMm = $radiusMm / sin(M_PI / count($tubes));
        if ($leastMm - $inletMm > 1e-9) {
            return new Refusal('tubes-overlap', 'inlet_radius', $leastMm - $inletMm);
        }
        $widthMm = 2 * ($inletMm + $radiusMm);
        if ($outlet->diameterMm !== null && $outlet->diameterMm >= $widthMm) {
            return new Refusal('outlet-too-large', 'outlet.diameter', $outlet->diameterMm - $widthMm);
        }
        // The furthest point from the axis is on the outer generator.
        $outerMm = $bend->stationInwardMm(($widthMm - ($outlet->diameterMm ?? $widthMm)) / 2, $radiusMm);
        $planeMm = $outlet->planeMm ?? $bend->at($outerMm, $radiusMm)[1];
        $apexMm = $bend->at($bend->stationInwardMm($inletMm, 0.0), 0.0)[1];
        if ($planeMm > $apexMm) {
            return new Refusal('outlet-past-apex', 'outlet', $planeMm - $apexMm);
        }
        $outerMm = $bend->stationAtHeightMm($planeMm, $radiusMm);
        $inwardMm = $outerMm === INF ? 0.0 : $bend->at($outerMm, $radiusMm)[0];
        $names = array_map(strval(...), array_keys($tubes));
        $collector = new self($names, $tube, $bend, $inletMm, $planeMm, $widthMm - 2 * $inwardMm);

        return ($mayBeOpen ? null : $collector->openCentre()) ?? $collector->runsOff() ?? $collector;
    }

    public function ids(): array
    {
        return $this->ids;
    }

    public function planeMm(): float
    {
        return $this->planeMm;
    }

    public function diameterMm(): float
    {
        return $this->diameterMm;
    }

    public function line(int $tube, float $stepDeg = CutLine::STEP_DEG): CutLine
    {
        return CutLine::trace(function (float $psi) use ($tube): LinePoint {
            [$sMm, $by] = $this->cut($tube, $psi);

            return new LinePoint($psi, $sMm, $this->at($tube, $psi, $sMm), $by);
        }, $stepDeg);
    }

    public function at(int $tube, float $psi, float $sMm, float $depthMm = 0.0): Vector
    {
        $radiusMm = $this->tube->outsideMm() - $depthMm;
        [$inwardMm, $zMm] = $this->bend->at($sMm, $radiusMm * cos($psi));
        $turn = 2 * M_PI * $tube / count($this->ids);
        $outMm = $this->inletMm + $radiusMm * cos($psi) - $inwardMm;
        $asideMm = $radiusMm * sin($psi);

        return new Vector(
            $outMm * cos($turn) - $asideMm * sin($turn),
            $outMm * sin($turn) + $asideMm * cos($turn),
            $zMm,
        );
    }

    public function row(int $tube, float $psi): array
    {
        [$sMm] = $this->cut($tube, $psi);

        return ['s' => $sMm, 'height' => $this->bend->at($sMm, $this->outer($psi))[1]];
    }

    private function outer(float $psi): float
    {
        return $this->tube->outsideMm() * cos($psi);
    }

    /**
     * Where a generator reaches the plane halfway to its neighbour, or the outlet.
     *
     * In the bend cos τ = (R − r0 + ρ |sin ψ| cot(π/N)) / (R + ρ cos ψ), and on into the leg behind it as a straight
     * tube.
     *
     * @return array{float, int}
     */
    private function cut(int $tube, float $psi): array
    {
        $count = count($this->ids);
        $outerMm = $this->outer($psi);
        $planeOutMm = $this->tube->outsideMm() * abs(sin($psi)) / tan(M_PI / $count);
        $seamMm = $this->bend->stationInwardMm($this->inletMm + $outerMm - $planeOutMm, $outerMm);
        $outletMm = $this->bend->stationAtHeightMm($this->planeMm, $outerMm);

        return $seamMm < $outletMm
            ? [$seamMm, (sin($psi) >= 0.0 ? $tube + 1 : $tube + $count - 1) % $count]
            : [$outletMm, CutLine::OUTLET];
    }

    private function openCentre(): ?Refusal
    {
        $innerMm = -$this->tube->outsideMm();
        $seamMm = $this->bend->stationInwardMm($this->inletMm + $innerMm, $innerMm);
        $lackingMm = $this->bend->at($seamMm, $innerMm)[1] - $this->planeMm;

        return $lackingMm > 0.0 ? new Refusal('centre-open', 'outlet', $lackingMm) : null;
    }

    private function runsOff(): ?Refusal
    {
        $endMm = $this->bend->tangentMm() + $this->bend->farLegMm;
        $lackingMm = $this->line(0)->greatestMm() - $endMm;

        return $lackingMm > 1e-9 ? new Refusal('runs-off-leg', 'bend.far_leg', $lackingMm) : null;
    }
}
