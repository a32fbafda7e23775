<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool;

/**
 * The tube on one side of a seam, as far as it goes; 0 mm where its end is at the seam. Beside a seam round something
 * on the tube's side heat does not run along the tube but spreads over its wall, away from that.
 */
final readonly class TubeSide
{
    /** @param  ?float  $spreadsFromMm  radius of the seam that heat spreads from; null where it runs along the tube */
    public function __construct(public float $lengthMm, public TubeEnd $end, public ?float $spreadsFromMm = null) {}

    /**
     * How much of the wall lies so far from the seam, as a share of once round the tube: all of it, or the circle about
     * the seam as far as it lies on the unrolled tube, in the end a round of the tube on either side.
     *
     * @param  float  $roundMm  once round the tube
     */
    public function share(float $atMm, float $roundMm): float
    {
        if ($this->spreadsFromMm === null) {
            return 1.0;
        }
        $radiusMm = $this->spreadsFromMm + $atMm;
        $half = $roundMm / 2;

        return ($radiusMm <= $half ? 2 * M_PI * $radiusMm : 4 * $radiusMm * asin($half / $radiusMm)) / $roundMm;
    }
}
