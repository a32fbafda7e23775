<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Purge;

use UpsweptBead\Core\Reason\Figure;

/** How the inside of a joint is filled with argon and kept so. */
final readonly class PurgePlan
{
    /** @param  array<string, Figure>  $figures target, volume, changes, flow, fill, vent, hold, argon */
    public function __construct(public array $figures, public PurgePose $pose) {}

    /** A figure of it by its name, in the base unit of its quantity. */
    public function value(string $name): float
    {
        return $this->figures[$name]->value;
    }
}
