<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Device;

use UpsweptBead\Core\Base\Units\Quantity;

/** An instrument at the bench: what it reads at a moment, in base units. Real ones and stand-ins answer alike. */
interface Device
{
    /** The reading it stands for: `oxygen`, `temperature`, `amps`, `volts`, `flow`, `pressure`. */
    public function name(): string;

    public function label(): string;

    /** None where no unit of this program is meant, as for volts. */
    public function quantity(): ?Quantity;

    /** @param  float  $seconds  since what it watches was begun: argon let in, the arc lit, the arc out */
    public function at(float $seconds): float;
}
