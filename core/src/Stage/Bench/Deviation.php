<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

/**
 * Something that was logged otherwise than planned, in words for the record. Where a step was skipped, `by` is who did so.
 */
final readonly class Deviation
{
    public function __construct(public BenchStep $step, public string $what, public string $by = '') {}
}
