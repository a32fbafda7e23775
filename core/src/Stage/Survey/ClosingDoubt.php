<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Solve\Adjust\ClosingGap;

/** How sure the far end of a run is when it is built from its first, as its ends were measured. */
final readonly class ClosingDoubt
{
    /**
     * @param  float  $missMm  one standard deviation of where it ends
     * @param  float  $missDeg  and of how it points there
     * @param  float  $trimMm  left long by this, it can be cut to fit in 95 of 100 cases
     * @param  string  $retake  id of the reading that is worth most to take again; '' where none makes it surer
     * @param  float  $placeMm  how far the less sure of its ends may be off by itself, one standard deviation
     * @param  float  $thenMm  what the doubt becomes with that reading taken ten times better
     */
    public function __construct(
        public float $missMm,
        public float $missDeg,
        public float $trimMm,
        public float $placeMm,
        public string $retake,
        public float $thenMm,
    ) {}

    /** How much nearer than drawn it may pass something, in 95 of 100 cases, once both its ends are where they belong. */
    public function nearerMm(?self $other): float
    {
        return ClosingGap::SURE * hypot($this->placeMm, $other->placeMm ?? 0.0);
    }
}
