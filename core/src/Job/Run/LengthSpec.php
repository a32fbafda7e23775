<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

use UpsweptBead\Core\Base\Units\Length;

/** Runs that must come out equally long: at a target, or at any common length. */
final readonly class LengthSpec
{
    /** @param  list<string>  $runs  letters */
    public function __construct(public array $runs, public ?Length $target, public float $tolerancePercent) {}
}
