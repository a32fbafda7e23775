<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

/**
 * One joint of the sequence: arc and cooling in seconds, how often the arc is struck, amps, oxygen at its beginning
 * (ppm).
 */
final readonly class PurgeStep
{
    public function __construct(
        public GasJoint $joint,
        public float $arcS,
        public int $starts,
        public float $amps,
        public float $coolS,
        public float $startPpm,
    ) {}

    /** With the post-flow of every start: a second for ten amps, at least five. Common practice. */
    public function weldMin(): float
    {
        return ($this->arcS + $this->starts * max(5.0, $this->amps / 10)) / 60;
    }

    /** Air changes of a well-mixed inside down to a target. */
    public function changes(float $targetPpm): float
    {
        return max(0.0, log($this->startPpm / $targetPpm));
    }
}
