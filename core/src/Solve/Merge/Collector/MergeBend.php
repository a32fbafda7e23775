<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Collector;

/**
 * A bend as collectors are cut from: a leg along the axis, the bend toward it, and the leg behind; mm, angle in
 * radians.
 */
final readonly class MergeBend
{
    public function __construct(
        public float $clrMm,
        public float $angle,
        public float $inletLegMm,
        public float $farLegMm,
    ) {}

    /** Station where the bend ends. */
    public function tangentMm(): float
    {
        return $this->inletLegMm + $this->clrMm * $this->angle;
    }

    /**
     * A point so far from the bend's centreline to its outer side.
     *
     * @param  float  $outerMm  inward if negative
     * @return array{float, float} how far its generator has come towards the axis there, and its height on the axis
     */
    public function at(float $sMm, float $outerMm): array
    {
        if ($sMm <= $this->inletLegMm) {
            return [0.0, $sMm];
        }
        $turn = min(($sMm - $this->inletLegMm) / $this->clrMm, $this->angle);
        $behindMm = max(0.0, $sMm - $this->tangentMm());
        $radiusMm = $this->clrMm + $outerMm;

        return [
            $radiusMm * (1 - cos($turn)) + $behindMm * sin($turn),
            $this->inletLegMm + $radiusMm * sin($turn) + $behindMm * cos($turn),
        ];
    }

    /** The station at which a generator has come so far towards the axis; INF if it never does. */
    public function stationInwardMm(float $inwardMm, float $outerMm): float
    {
        $radiusMm = $this->clrMm + $outerMm;
        $cosine = 1 - $inwardMm / $radiusMm;
        if ($cosine >= cos($this->angle)) {
            return $this->inletLegMm + $this->clrMm * acos(min(1.0, $cosine));
        }
        $leftMm = $inwardMm - $radiusMm * (1 - cos($this->angle));

        return $this->tangentMm() + $leftMm / sin($this->angle);
    }

    /** The station at which a generator has come to a height on the axis; INF if it never does. */
    public function stationAtHeightMm(float $zMm, float $outerMm): float
    {
        $radiusMm = $this->clrMm + $outerMm;
        $riseMm = $zMm - $this->inletLegMm;
        if ($riseMm <= 0.0) {
            return $zMm;
        }
        if ($riseMm <= $radiusMm * sin($this->angle)) {
            return $this->inletLegMm + $this->clrMm * asin($riseMm / $radiusMm);
        }
        $leftMm = $riseMm - $radiusMm * sin($this->angle);
        $cosine = cos($this->angle);

        return $cosine > 1e-12 ? $this->tangentMm() + $leftMm / $cosine : INF;
    }
}
