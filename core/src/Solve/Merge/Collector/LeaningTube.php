<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Collector;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Merge\RoundTube;

/**
 * A straight tube of a collector: from its place on the inlet plane it leans towards the axis. The axis is z, with the
 * flow; psi is 0 where the tube looks away from the axis and turns clockwise seen with the flow. Lengths in mm, angles
 * in radians.
 */
final readonly class LeaningTube
{
    /** Away from the axis, and square to that, clockwise; both in the inlet plane. */
    private Vector $out;

    private Vector $aside;

    /** Along the tube, and away from the axis square to it. */
    public Vector $along;

    private Vector $up;

    public Vector $base;

    /** @param  float  $turn  where it stands round the axis */
    public function __construct(
        public string $id,
        public RoundTube $tube,
        public float $lean,
        public float $inletMm,
        public float $turn,
    ) {
        $axis = new Vector(0, 0, 1);
        $this->out = new Vector(cos($turn), sin($turn), 0);
        $this->aside = $axis->cross($this->out);
        $this->along = $axis->times(cos($lean))->minus($this->out->times(sin($lean)));
        $this->up = $this->out->times(cos($lean))->plus($axis->times(sin($lean)));
        $this->base = $this->out->times($inletMm);
    }

    /** A point at a radius round its centreline. */
    public function at(float $psi, float $sMm, float $radiusMm): Vector
    {
        return $this->base
            ->plus($this->along->times($sMm))
            ->plus($this->up->times($radiusMm * cos($psi)))
            ->plus($this->aside->times($radiusMm * sin($psi)));
    }

    /** Where it passes a plane across the axis. */
    public function stationAtMm(float $psi, float $zMm, float $radiusMm): float
    {
        return ($zMm - $radiusMm * cos($psi) * sin($this->lean)) / cos($this->lean);
    }

    /**
     * How far from the axis its outside reaches in the inlet plane; that falls by tan lean with every mm along the
     * axis.
     */
    public function reachMm(): float
    {
        return $this->inletMm + $this->tube->outsideMm() / cos($this->lean);
    }

    /** Where its centreline crosses the axis; z. */
    public function apexMm(): float
    {
        return $this->inletMm / tan($this->lean);
    }

    /** The same tube further from the axis. */
    public function movedOut(float $byMm): self
    {
        return new self($this->id, $this->tube, $this->lean, $this->inletMm + $byMm, $this->turn);
    }

    public function isLike(self $other): bool
    {
        return $this->tube->odMm === $other->tube->odMm
            && $this->lean === $other->lean
            && $this->inletMm === $other->inletMm;
    }

    /**
     * Where a generator of this tube goes into another tube and comes out of it again.
     *
     * @param  float  $depthMm  below the outside of both
     * @return array{float, float}|null stations along this tube; null where it misses the other
     */
    public function through(self $other, float $psi, float $depthMm): ?array
    {
        $from = $this->at($psi, 0.0, $this->tube->outsideMm() - $depthMm)->minus($other->base)->squareTo($other->along);
        $direction = $this->along->squareTo($other->along);
        $radiusMm = $other->tube->outsideMm() - $depthMm;
        $a = $direction->dot($direction);
        $b = $from->dot($direction);
        $c = $from->dot($from) - $radiusMm ** 2;
        $root = $b ** 2 - $a * $c;
        if ($a < 1e-15 || $root < 0.0 || $radiusMm <= 0.0) {
            return null;
        }

        return [(-$b - sqrt($root)) / $a, (-$b + sqrt($root)) / $a];
    }
}
