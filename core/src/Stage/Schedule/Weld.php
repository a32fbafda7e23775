<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule;

use UpsweptBead\Core\Stage\Fit\Order\Phase;
use UpsweptBead\Core\Stage\Joint\Joint;

/** A joint with the phase it is welded in, and why then; `batch` counts what else is done before it. */
final readonly class Weld
{
    public function __construct(public Joint $joint, public Phase $phase, public string $why, public int $batch) {}

    /** Whether nothing else is done between the two, so that either may come first. */
    public function isBeside(self $other): bool
    {
        return $this->phase === $other->phase && $this->batch === $other->batch;
    }
}
