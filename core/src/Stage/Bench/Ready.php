<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

/** A joint that must have cooled before a step is begun. */
final readonly class Ready
{
    /**
     * @param  float  $limitC  it is measured at this or below
     * @param  float  $seconds  how long that takes from its weld on, as planned
     */
    public function __construct(public string $joint, public float $limitC, public float $seconds) {}
}
