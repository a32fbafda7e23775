<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Collector;

use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Merge\CutLine;
use UpsweptBead\Core\Solve\Merge\LinePoint;

/**
 * Straight tubes that lean to one axis. Tubes that are all alike meet on planes through the axis, halfway between
 * neighbours, and are cut there in closed form; others are cut where each generator goes into another tube.
 *
 * The closed form holds before the centrelines cross the axis, and only with a closed middle: both are checked.
 */
final readonly class StraightCollector implements MergeCollector
{
    /** How finely generators are asked whether they come out of another tube again. */
    private const LOOK_DEG = 1.0;

    /** Tubes that lean by less (radians) go side by side for more than a kilometre. */
    private const NO_LEAN = 1e-6;

    /**
     * @param  non-empty-list<LeaningTube>  $tubes  two to six, evenly round the axis
     * @param  bool  $isEven  whether all of them are alike
     */
    private function __construct(
        public array $tubes,
        private float $planeMm,
        private float $diameterMm,
        public bool $isEven,
    ) {}

    /**
     * @param  non-empty-list<LeaningTube>  $tubes  two to six, evenly round the axis
     * @param  bool  $mayBeOpen  whether the middle may be open at the outlet, to be closed with a plate
     */
    public static function of(array $tubes, Outlet $outlet, bool $mayBeOpen = false): self|Refusal
    {
        foreach ($tubes as $tube) {
            if ($tube->lean <= self::NO_LEAN) {
                return new Refusal('half-angle-zero', 'half_angle');
            }
        }
        $isEven = array_filter($tubes, static fn (LeaningTube $one): bool => ! $one->isLike($tubes[0])) === [];
        $lackingMm = $isEven ? self::evenLackingMm($tubes) : self::unevenLackingMm($tubes);
        if ($lackingMm > 0.0) {
            return new Refusal('tubes-overlap', 'inlet_radius', $lackingMm);
        }
        $planeMm = $outlet->planeMm ?? self::planeOfMm($tubes, $outlet->diameterMm ?? 0.0);
        $widthMm = 2 * max(array_map(static fn (LeaningTube $one): float => $one->reachMm(), $tubes));
        if ($planeMm <= 0.0) {
            return new Refusal('outlet-too-large', 'outlet.diameter', ($outlet->diameterMm ?? 0.0) - $widthMm);
        }
        $apexMm = min(array_map(static fn (LeaningTube $one): float => $one->apexMm(), $tubes));
        if ($planeMm > $apexMm) {
            return new Refusal('outlet-past-apex', 'outlet', $planeMm - $apexMm);
        }
        $diameterMm = 2 * max(array_map(
            static fn (LeaningTube $one): float => $one->reachMm() - $planeMm * tan($one->lean),
            $tubes,
        ));
        $collector = new self($tubes, $planeMm, $diameterMm, $isEven);

        return ($mayBeOpen ? null : $collector->openCentre()) ?? $collector->pokesThrough() ?? $collector;
    }

    public function ids(): array
    {
        return array_map(static fn (LeaningTube $one): string => $one->id, $this->tubes);
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
            [$sMm, $by] = $this->cut($tube, $psi, 0.0);

            return new LinePoint($psi, $sMm, $this->at($tube, $psi, $sMm), $by);
        }, $stepDeg);
    }

    public function at(int $tube, float $psi, float $sMm, float $depthMm = 0.0): Vector
    {
        return $this->tubes[$tube]->at($psi, $sMm, $this->tubes[$tube]->tube->outsideMm() - $depthMm);
    }

    public function row(int $tube, float $psi): array
    {
        return [
            's' => $this->cut($tube, $psi, 0.0)[0],
            's_inside' => $this->cut($tube, $psi, $this->tubes[$tube]->tube->wallMm)[0],
        ];
    }

    /** Half the angle between neighbours. */
    public function halfStep(): float
    {
        return M_PI / count($this->tubes);
    }

    /** @return array{float, int} where a generator so deep below the outside is cut, and by what */
    private function cut(int $tube, float $psi, float $depthMm): array
    {
        $leaning = $this->tubes[$tube];
        $outletMm = $leaning->stationAtMm($psi, $this->planeMm, $leaning->tube->outsideMm() - $depthMm);
        [$seamMm, $by] = $this->isEven
            ? $this->evenCut($tube, $psi, $depthMm)
            : $this->firstEntry($tube, $psi, $depthMm);

        return $seamMm < $outletMm ? [$seamMm, $by] : [$outletMm, CutLine::OUTLET];
    }

    /**
     * On the plane through the axis halfway to the neighbour on that side:
     * s(ψ) = [r0 + ρ cos ψ cos α − ρ |sin ψ| cot(π/N)] / sin α; worked out for equal round tubes.
     *
     * @return array{float, int}
     */
    private function evenCut(int $tube, float $psi, float $depthMm): array
    {
        $leaning = $this->tubes[$tube];
        $count = count($this->tubes);
        $radiusMm = $leaning->tube->outsideMm() - $depthMm;
        $outMm = $radiusMm * cos($psi) * cos($leaning->lean);
        $asideMm = $radiusMm * abs(sin($psi)) / tan($this->halfStep());
        $mm = $leaning->inletMm + $outMm - $asideMm;

        return [$mm / sin($leaning->lean), (sin($psi) >= 0.0 ? $tube + 1 : $tube + $count - 1) % $count];
    }

    /** @return array{float, int} */
    private function firstEntry(int $tube, float $psi, float $depthMm): array
    {
        $first = [INF, CutLine::OUTLET];
        foreach ($this->tubes as $i => $other) {
            $through = $i === $tube ? null : $this->tubes[$tube]->through($other, $psi, $depthMm);
            if ($through !== null && $through[1] > 0.0 && $through[0] < $first[0]) {
                $first = [$through[0], $i];
            }
        }

        return $first;
    }

    /** The inner generators must meet other tubes before the outlet, or a hole is left in the middle. */
    private function openCentre(): ?Refusal
    {
        $lackingMm = 0.0;
        foreach ($this->tubes as $i => $tube) {
            [$sMm] = $this->isEven ? $this->evenCut($i, M_PI, 0.0) : $this->firstEntry($i, M_PI, 0.0);
            if ($sMm === INF) {
                return new Refusal('centre-open', 'outlet');
            }
            $zMm = $sMm * cos($tube->lean) - $tube->tube->outsideMm() * sin($tube->lean);
            $lackingMm = max($lackingMm, $zMm - $this->planeMm);
        }

        return $lackingMm > 0.0 ? new Refusal('centre-open', 'outlet', $lackingMm) : null;
    }

    /** A generator that leaves all other tubes again before the outlet would be seen from outside a second time. */
    private function pokesThrough(): ?Refusal
    {
        for ($deg = 0.0; ! $this->isEven && $deg < 360.0; $deg += self::LOOK_DEG) {
            $psi = deg2rad($deg);
            foreach ($this->tubes as $i => $tube) {
                $spans = [];
                foreach ($this->tubes as $j => $other) {
                    $spans[] = $i === $j ? null : $tube->through($other, $psi, 0.0);
                }
                $spans = array_filter($spans, static fn (?array $one): bool => $one !== null && $one[1] > 0.0);
                usort($spans, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
                $hidden = null;
                foreach ($spans as [$from, $to]) {
                    $hidden = $hidden !== null && $from > $hidden ? $hidden : max($hidden ?? $to, $to);
                }
                if ($hidden !== null && $hidden < $tube->stationAtMm($psi, $this->planeMm, $tube->tube->outsideMm())) {
                    return new Refusal('pokes-through', 'outlet');
                }
            }
        }

        return null;
    }

    /**
     * Where the circle round all tubes has a diameter; the furthest point of each is its outer generator.
     *
     * @param  non-empty-list<LeaningTube>  $tubes
     */
    private static function planeOfMm(array $tubes, float $diameterMm): float
    {
        return max(array_map(
            static fn (LeaningTube $one): float => ($one->reachMm() - $diameterMm / 2) / tan($one->lean),
            $tubes,
        ));
    }

    /**
     * By how much the inlet circle is too small for the ends of equal tubes.
     *
     * @param  non-empty-list<LeaningTube>  $tubes
     */
    private static function evenLackingMm(array $tubes): float
    {
        $one = $tubes[0];
        $leastMm = $one->tube->outsideMm() * hypot(cos($one->lean), 1 / tan(M_PI / count($tubes)));

        // Ends that just touch are no overlap, and cot(π/2) is no exact 0.
        return $leastMm - $one->inletMm > 1e-9 ? $leastMm - $one->inletMm : 0.0;
    }

    /**
     * By how much all tubes must stand further out so that no end begins inside another tube.
     *
     * @param  non-empty-list<LeaningTube>  $tubes
     */
    private static function unevenLackingMm(array $tubes): float
    {
        if (! self::endsOverlap($tubes)) {
            return 0.0;
        }
        [$least, $most] = [0.0, 10 * max(array_map(static fn (LeaningTube $one): float => $one->tube->odMm, $tubes))];
        while ($most - $least > 1e-6) {
            $middle = ($least + $most) / 2;
            $moved = array_map(static fn (LeaningTube $one): LeaningTube => $one->movedOut($middle), $tubes);
            [$least, $most] = self::endsOverlap($moved) ? [$middle, $most] : [$least, $middle];
        }

        return $most;
    }

    /** @param  non-empty-list<LeaningTube>  $tubes */
    private static function endsOverlap(array $tubes): bool
    {
        foreach ($tubes as $i => $tube) {
            foreach ($tubes as $j => $other) {
                for ($deg = 0.0; $i !== $j && $deg < 360.0; $deg += self::LOOK_DEG) {
                    $end = $tube->at(deg2rad($deg), 0.0, $tube->tube->outsideMm())->minus($other->base);
                    if ($end->squareTo($other->along)->length() < $other->tube->outsideMm() - 1e-9) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
