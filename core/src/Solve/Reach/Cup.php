<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach;

/** A gas cup with the tungsten that stands out of it. The cup is a flat-ended cylinder. Millimetres. */
final readonly class Cup
{
    /**
     * @param  float  $radiusMm  outside
     * @param  float  $stickOutMm  from the weld to the cup's rim
     */
    public function __construct(
        public string $id,
        public float $radiusMm,
        public float $lengthMm,
        public float $stickOutMm,
    ) {}

    /** How far the body behind it stands from the weld. */
    public function endMm(): float
    {
        return $this->stickOutMm + $this->lengthMm;
    }
}
