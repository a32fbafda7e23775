<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Procedure;

/** Work that others do for a job: laser cutting, coating, a dyno; in money. */
final readonly class OutsideWork
{
    public function __construct(public string $what, public float $cost) {}
}
