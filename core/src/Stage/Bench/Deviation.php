<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

/**
 * What was logged otherwise than planned, in words for the record; `by` is who went on all the same, if that is what it
 * is.
 */
final readonly class Deviation
{
    public function __construct(public BenchStep $step, public string $what, public string $by = '') {}
}
