<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Collector;

/** What is asked of an outlet: its plane or its diameter, the other follows; mm. */
final readonly class Outlet
{
    private function __construct(public ?float $planeMm, public ?float $diameterMm) {}

    public static function atPlane(float $mm): self
    {
        return new self($mm, null);
    }

    public static function ofDiameter(float $mm): self
    {
        return new self(null, $mm);
    }
}
