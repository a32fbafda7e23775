<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge;

use UpsweptBead\Core\Base\Document\Refusal;

/**
 * A bend made of wedges: k welds join k − 1 whole wedges and two ends, each mitre turns the tube by twice its angle.
 * Lengths in mm, angles in radians.
 */
final readonly class PieCut
{
    /** Of each cut to the square one. */
    public float $mitre;

    /**
     * @param  float  $kerfMm  of the saw, square to the cut
     * @param  float  $endLegMm  straight beyond the tangent on both ends
     * @param  bool  $flipped  whether the stick is turned half round between cuts
     * @param  float  $shrinkMm  by which each weld draws its two sides together: both are cut so much longer between
     *   them
     */
    private function __construct(
        public RoundTube $tube,
        public float $clrMm,
        public float $angle,
        public int $welds,
        public float $kerfMm,
        public float $endLegMm,
        public bool $flipped,
        public float $shrinkMm,
    ) {
        $this->mitre = $angle / (2 * $welds);
    }

    /** @param  float|null  $stickMm  what there is to cut it from, if that is to be checked */
    public static function of(
        RoundTube $tube,
        float $clrMm,
        float $angle,
        int $welds,
        float $kerfMm,
        float $endLegMm,
        bool $flipped,
        ?float $stickMm,
        float $shrinkMm = 0.0,
    ): self|Refusal {
        if ($clrMm < $tube->outsideMm()) {
            return new Refusal('throat-negative', 'clr', $tube->outsideMm() - $clrMm);
        }
        $cut = new self($tube, $clrMm, $angle, $welds, $kerfMm, $endLegMm, $flipped, $shrinkMm);
        $lackingMm = $stickMm === null ? 0.0 : $cut->stickMm() - $stickMm;

        return $lackingMm > 1e-9 ? new Refusal('stick-too-short', 'stick', $lackingMm) : $cut;
    }

    public function wedge(): SideLengths
    {
        return $this->sides(2.0, 0.0);
    }

    public function end(): SideLengths
    {
        return $this->sides(1.0, $this->endLegMm);
    }

    /** Length of one weld round the outside. */
    public function seamMm(): float
    {
        return Ellipse::perimeter($this->tube->outsideMm(), $this->tube->outsideMm() / cos($this->mitre));
    }

    /**
     * The least stick that both ends and all wedges come out of in one row. Turned half round, neighbours share each
     * slanted cut; all the same way up, their long sides lie end to end.
     */
    public function stickMm(): float
    {
        [$end, $wedge] = [$this->end(), $this->wedge()];
        $pieces = $this->flipped
            ? 2 * $end->centreMm + ($this->welds - 1) * $wedge->centreMm
            : 2 * $end->outerMm + ($this->welds - 1) * $wedge->outerMm;

        return $pieces + $this->welds * $this->kerfMm / cos($this->mitre);
    }

    private function sides(float $mitres, float $legMm): SideLengths
    {
        $spareMm = $legMm + $mitres * $this->shrinkMm / 2;
        $of = fn (float $radiusMm): float => $spareMm + $mitres * $radiusMm * tan($this->mitre);

        return new SideLengths(
            $of($this->clrMm + $this->tube->outsideMm()),
            $of($this->clrMm),
            $of($this->clrMm - $this->tube->outsideMm()),
        );
    }
}
