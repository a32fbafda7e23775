<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Set;

/** A seam with less room beside it than a torch needs. */
final readonly class Seam
{
    /** @param  string  $other  letter of the run beside it */
    public function __construct(public string $joint, public string $other, public float $gapMm) {}
}
