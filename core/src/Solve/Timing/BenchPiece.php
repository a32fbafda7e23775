<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Timing;

/** What lies on the bench, and how long it takes to put it up. */
final readonly class BenchPiece
{
    public function __construct(public string $id, public float $changeMin) {}
}
