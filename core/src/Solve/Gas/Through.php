<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

/** An opening by which argon has to go: out of it, or where that is permitted also into it. */
final readonly class Through
{
    public function __construct(public string $opening, public bool $mayFeed) {}
}
