<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench\Inspection;

/** By what a joint is judged. */
final readonly class Inspection
{
    /**
     * @param  float  $targetPpm  what its purge was to hold
     * @param  float  $stopPpm  above which welding stops
     */
    public function __construct(public float $targetPpm, public float $stopPpm) {}

    /** The least that has to be done about what was found. */
    public function least(InspectedJoint $found): Outcome
    {
        return Outcome::most(
            $found->inside?->inside($this->targetPpm, $this->stopPpm) ?? Outcome::Accept,
            $found->outside->outside(),
            ...array_map(static fn (Flaw $flaw): Outcome => $flaw->least(), $found->flaws),
        );
    }
}
