<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;

/**
 * The inlets of a collector or turbine flange: tubes side by side in a ring about an axis, as close as the gap between
 * them allows. The first stands so far round from straight up, the others follow clockwise, looking with the flow.
 */
final readonly class InletRing
{
    /**
     * @param  Vector  $at  the middle of the inlets, mm
     * @param  float  $odMm  of the tubes
     */
    public function __construct(
        public Vector $at,
        public Vector $axis,
        public float $turnDeg,
        public Length $gap,
        public float $odMm,
    ) {}

    /** Where one of so many inlets stands; r0 = (ρ + gap/2)/sin(π/N), ρ the tube's radius. */
    public function inlet(int $place, int $count): Vector
    {
        $radiusMm = ($this->odMm / 2 + $this->gap->mm / 2) / sin(M_PI / $count);
        $frame = Frame::facing($this->at, $this->axis);
        $out = $frame->reference->turnedAbout($frame->forward, $this->turnDeg + 360 * $place / $count);

        return $this->at->plus($out->times($radiusMm));
    }
}
