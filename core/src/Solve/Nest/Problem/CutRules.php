<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Problem;

/** How the saw works and what its cuts and the joints cost. Lengths in mm along the centreline. */
final readonly class CutRules
{
    /**
     * @param  float  $kerfMm  width of a saw cut
     * @param  float  $holdMm  what the saw must grip: one section of every donor that is cut is as long in the end
     * @param  float  $leastPieceMm  as cut, with its extra length
     * @param  float  $jointSpacingMm  between two joints of a run, its ends counted
     * @param  float  $longStartMm  extra length left on the end of a piece that comes first in its run, at a joint
     * @param  float  $longEndMm  and on its other end
     */
    public function __construct(
        public float $kerfMm,
        public float $holdMm,
        public float $leastPieceMm,
        public float $jointSpacingMm,
        public float $longStartMm,
        public float $longEndMm,
        public float $jointCost,
        public float $cutCost,
    ) {}

    /** Extra length of a piece between two joints. */
    public function longMm(): float
    {
        return $this->longStartMm + $this->longEndMm;
    }

    public function holding(float $holdMm): self
    {
        return new self(
            $this->kerfMm,
            $holdMm,
            $this->leastPieceMm,
            $this->jointSpacingMm,
            $this->longStartMm,
            $this->longEndMm,
            $this->jointCost,
            $this->cutCost,
        );
    }
}
