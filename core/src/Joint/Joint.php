<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Joint;

/** One joint of a job: of which run it is, what kind, which two parts meet there, with the flow, and where. */
final readonly class Joint
{
    /** @param  string  $run  letter */
    public function __construct(
        public string $id,
        public string $run,
        public JointType $type,
        public Side $between,
        public Side $and,
        public Seam $seam,
    ) {}

    public function thinnerMm(): float
    {
        return min($this->between->wallMm, $this->and->wallMm);
    }

    public function thickerMm(): float
    {
        return max($this->between->wallMm, $this->and->wallMm);
    }
}
