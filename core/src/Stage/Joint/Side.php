<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Joint;

/** One of the two parts that meet at a joint: its name, its metal, and its wall there in mm. */
final readonly class Side
{
    public function __construct(public string $name, public string $metal, public float $wallMm) {}
}
