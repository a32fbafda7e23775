<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Search;

/** What the nearest miss lacks: the tube, what it is too near to (empty if it is about itself), and by how much. */
final readonly class Miss
{
    /** @param  string  $what  bend, gap, clearance or length */
    public function __construct(public string $runner, public string $other, public string $what, public float $byMm) {}
}
