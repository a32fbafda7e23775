<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Base\Geometry\Vector;

/** How near a run comes to another or to a keep-out, at the place where least is left of what is needed. */
final readonly class Gap
{
    /** As much as the judge of the route format grants, mm. */
    private const GRANTED_MM = 0.05;

    /**
     * @param  string  $run  letter
     * @param  string  $other  letter of a run, or name of a keep-out
     * @param  float  $gapMm  surface to surface; negative where they run into each other
     * @param  Vector  $from  on the run's centreline
     * @param  ?Vector  $to  on the other run's, null for a keep-out
     */
    public function __construct(
        public string $run,
        public string $other,
        public bool $isRun,
        public float $gapMm,
        public float $neededMm,
        public Vector $from,
        public ?Vector $to,
    ) {}

    /** @param  float  $nearerMm  by how much nearer it may be, as its ends were measured */
    public function isKept(float $nearerMm = 0.0): bool
    {
        return $this->gapMm - $nearerMm >= $this->neededMm - self::GRANTED_MM;
    }
}
