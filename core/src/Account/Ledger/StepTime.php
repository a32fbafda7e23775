<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Ledger;

/**
 * How long somebody is at one step, as planned: so many units by a rule of the shop, and what is worked out besides,
 * such as the cuts of a piece. Minutes.
 */
final readonly class StepTime
{
    /**
     * @param  ?string  $rule  minutes of one unit; null where the time comes from the schedule
     * @param  float  $units  pieces, joints, runs, inlets or metres
     * @param  float  $besidesMin  at the saw, or by the schedule
     */
    public function __construct(
        public float $minutes,
        public ?string $rule,
        public float $units,
        public float $besidesMin,
    ) {}

    /**
     * What one unit took where the step took so long; null where no rule says it, below 0 where the saw alone took
     * longer.
     */
    public function perUnit(float $minutes): ?float
    {
        return $this->rule === null || $this->units <= 0.0 ? null : ($minutes - $this->besidesMin) / $this->units;
    }
}
