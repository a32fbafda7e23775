<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Joint;

use UpsweptBead\Core\Job\Run\FittingKind;

/** One joint of a job: of which run it is, what kind, which two parts meet there, with the flow, and where. */
final readonly class Joint
{
    private const HEAVY_MM = 3.0;

    /**
     * @param  string  $run  letter
     * @param  ?FittingKind  $on  what is welded on, of a joint on the side of a tube
     */
    public function __construct(
        public string $id,
        public string $run,
        public JointType $type,
        public Side $between,
        public Side $and,
        public Seam $seam,
        public ?FittingKind $on = null,
    ) {}

    /**
     * Whether its root lies in a bore that has to be filled with argon. A tab on a heavy wall is not meant to
     * penetrate, common practice from .120 in on.
     */
    public function isPurged(): bool
    {
        $isOnHeavy = $this->type === JointType::Tab && $this->between->wallMm >= self::HEAVY_MM;

        return $this->type->isPurged() && ! $isOnHeavy;
    }

    public function thinnerMm(): float
    {
        return min($this->between->wallMm, $this->and->wallMm);
    }

    public function thickerMm(): float
    {
        return max($this->between->wallMm, $this->and->wallMm);
    }
}
