<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

/** One length of straight stock and the pieces cut from it, in order; mm. */
final readonly class Bar
{
    /** @param  list<array{mark: string, mm: float}>  $cuts */
    public function __construct(public float $lengthMm, public array $cuts, public float $leftMm) {}
}
