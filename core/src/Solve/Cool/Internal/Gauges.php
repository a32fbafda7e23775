<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool\Internal;

use UpsweptBead\Core\Solve\Cool\HotTube;

/** What is read off while a tube warms and cools. */
final class Gauges
{
    /** A rise that has fallen by so much (K) from its highest has had it. */
    private const FALLEN_K = 0.01;

    /** While a spot is waited for, steps are no longer than this (s), or this share of the time since the arc. */
    private const LEAST_STEP_S = 3.0;

    private const STEP_SHARE = 0.2;

    /** @var array<int, float> by node, its part of the mean at the seam */
    private array $near = [];

    /** @var list<array{int, ?int, float}> by distance: two nodes, the plate at the end in place of the second, its share */
    private array $places = [];

    private float $peakC;

    /** @var array<int, float> by distance */
    private array $peakK = [];

    private float $plateC = 0.0;

    private bool $isOff = false;

    private float $sinceOffS = 0.0;

    private float $seamC;

    /** @var array<int, ?float> seconds by limit; null as long as the seam is above it */
    private array $belowS;

    private float $spotC = INF;

    /** @var array<int, ?float> the same of the hottest spot */
    private array $spotS;

    /**
     * @param  list<float>  $limitsC
     * @param  list<array{int, float}>  $distances
     * @param  bool  $withEnds  whether what stands at the ends has to be below the limits too
     * @param  list<float>  $spotLimitsC
     * @param  ?Waves  $waves  round the seam; none where no spot is asked for
     */
    public function __construct(
        private readonly Fin $fin,
        private readonly HotTube $tube,
        float $nearMm,
        private readonly array $limitsC,
        array $distances,
        private readonly bool $withEnds = false,
        private readonly array $spotLimitsC = [],
        private readonly ?Waves $waves = null,
    ) {
        $grid = $fin->grid;
        foreach ($grid->widthMm as $i => $wide) {
            $mm = Fin::overlapMm($grid->atMm[$i], $wide, $nearMm);
            if ($mm > 0.0) {
                $this->near[$fin->chain->first + $i] = $mm;
            }
        }
        $all = array_sum($this->near);
        $this->near = array_map(static fn (float $mm): float => $mm / $all, $this->near);
        foreach ($distances as [$side, $mm]) {
            $this->places[] = $this->place(($side === 0 ? -1 : 1) * $mm);
            $this->peakK[] = 0.0;
        }
        $this->belowS = array_fill(0, count($limitsC), null);
        $this->spotS = array_fill(0, count($spotLimitsC), null);
        $this->seamC = $this->judgedC();
        $this->peakC = $this->seamC();
    }

    public function arcIsOff(): void
    {
        $this->isOff = true;
        $this->belowS = array_map(fn (float $limitC): ?float => $this->seamC <= $limitC ? 0.0 : null, $this->limitsC);
        if ($this->waves !== null) {
            $this->spotC = $this->waves->hottestC();
            $this->spotS = array_map(
                fn (float $limitC): ?float => $this->spotC <= $limitC ? 0.0 : null,
                $this->spotLimitsC,
            );
        }
    }

    /** How long a step may be (s), so that no spot is passed over. */
    public function longestS(): float
    {
        return $this->isOff && in_array(null, $this->spotS, true)
            ? max(self::LEAST_STEP_S, self::STEP_SHARE * $this->sinceOffS)
            : INF;
    }

    /** After a step of so many seconds, with the arc on or not. */
    public function read(float $seconds, bool $isOn): void
    {
        $before = $this->seamC;
        $this->seamC = $this->judgedC();
        $this->peakC = max($this->peakC, $this->seamC());
        $this->readSpot($seconds, $isOn);
        foreach ($this->risesK() as $i => $rise) {
            $this->peakK[$i] = max($this->peakK[$i], $rise);
        }
        if (! $this->isOff) {
            return;
        }
        foreach ($this->limitsC as $i => $limitC) {
            if ($this->seamC > $limitC) {
                $this->belowS[$i] = null;
            } elseif ($this->belowS[$i] === null) {
                $this->belowS[$i] = $this->sinceOffS + $seconds * ($before - $limitC) / ($before - $this->seamC);
            }
        }
        $this->sinceOffS += $seconds;
    }

    private function readSpot(float $seconds, bool $isOn): void
    {
        if ($this->waves === null || ! in_array(null, $this->spotS, true)) {
            return;
        }
        $this->waves->go($seconds, $isOn);
        if (! $this->isOff) {
            return;
        }
        $before = $this->spotC;
        $this->spotC = $this->waves->hottestC();
        foreach ($this->spotLimitsC as $i => $limitC) {
            if ($this->spotS[$i] === null && $this->spotC <= $limitC) {
                $this->spotS[$i] = $this->sinceOffS + $seconds * ($before - $limitC) / ($before - $this->spotC);
            }
        }
    }

    /** What has to be below the limits. */
    private function judgedC(): float
    {
        return $this->withEnds ? max([$this->seamC(), ...$this->fin->endsC()]) : $this->seamC();
    }

    /** Mean of the tube near the seam. */
    public function seamC(): float
    {
        $sum = 0.0;
        foreach ($this->near as $node => $share) {
            $sum += $share * $this->fin->celsius[$node];
        }

        return $sum;
    }

    /** @return list<float> over the start, by distance, K */
    public function risesK(): array
    {
        return array_map(
            fn (array $one): float => (1 - $one[2]) * $this->fin->celsius[$one[0]]
                + $one[2] * ($one[1] === null ? $this->plateC : $this->fin->celsius[$one[1]]) - $this->tube->startC,
            $this->places,
        );
    }

    public function peakC(): float
    {
        return $this->peakC;
    }

    public function peakRiseK(int $i): float
    {
        return $this->peakK[$i];
    }

    /** @return list<?float> */
    public function belowMin(): array
    {
        return self::minutes($this->belowS);
    }

    /** @return list<?float> */
    public function spotMin(): array
    {
        return self::minutes($this->spotS);
    }

    /**
     * @param  array<int, ?float>  $all
     * @return list<?float>
     */
    private static function minutes(array $all): array
    {
        return array_values(array_map(
            static fn (?float $seconds): ?float => $seconds === null ? null : $seconds / 60,
            $all,
        ));
    }

    /** Whether all that was asked for has come to pass. */
    public function isDone(): bool
    {
        foreach ($this->risesK() as $i => $rise) {
            if ($rise > $this->peakK[$i] - self::FALLEN_K) {
                return false;
            }
        }

        // Nothing in it is hotter than the lowest limit: the seam stays below.
        $hottestC = $this->fin->hottestC();

        if (in_array(null, $this->spotS, true)) {
            return false;
        }

        return $this->limitsC === [] || $hottestC <= min($this->limitsC)
            || (! in_array(null, $this->belowS, true) && $this->seamC >= $hottestC - self::FALLEN_K);
    }

    /** @return array{int, ?int, float} */
    private function place(float $mm): array
    {
        $at = $this->fin->grid->atMm;
        $last = count($at) - 1;
        if ($mm < $at[0] || $mm > $at[$last]) {
            return $this->atEnd($mm < $at[0] ? 0 : 1, $mm);
        }
        $i = 0;
        while ($i < $last - 1 && $at[$i + 1] < $mm) {
            $i++;
        }
        $share = $last === 0 ? 0.0 : ($mm - $at[$i]) / ($at[$i + 1] - $at[$i]);

        return [$this->fin->chain->first + $i, $this->fin->chain->first + min($last, $i + 1), $share];
    }

    /**
     * Between the middle of the last cell and its end face, which is as warm as what it leans on there.
     *
     * @return array{int, ?int, float}
     */
    private function atEnd(int $side, float $mm): array
    {
        $grid = $this->fin->grid;
        $cell = $side === 0 ? 0 : count($grid->atMm) - 1;
        $node = $this->fin->chain->first + $cell;
        $end = $this->tube->sides[$side]->end;
        if (! $end->isMass() && ! $end->isPlate()) {
            return [$node, $node, 0.0];
        }
        $half = $grid->widthMm[$cell] / 2;
        $kA = $this->tube->conductivityWMK->at($this->tube->startC) * $this->tube->areaMm2() * 1e-3;
        $own = $half / $kA;
        $share = abs($mm - $grid->atMm[$cell]) / $half * $own / ($own + 1 / ($end->firstContactWK() ?? INF));
        if ($end->isMass()) {
            return [$node, $side === 0 ? $node - 1 : $node + 1, $share];
        }
        $this->plateC = (float) $end->plateC;

        return [$node, null, $share];
    }
}
