<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool;

/** A plate bolted to a flange. It has one temperature, starts as warm as the flange and warms with it. */
final readonly class WarmPlate
{
    /** @param  float  $areaMm2  over which it loses heat to the air */
    public function __construct(public float $massKg, public float $areaMm2, public float $heatJKgK) {}
}
