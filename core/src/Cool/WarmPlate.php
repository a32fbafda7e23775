<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cool;

/** A plate of one temperature that what stands at the end of a tube is bolted to; it begins as warm as that, and warms. */
final readonly class WarmPlate
{
    /** @param  float  $areaMm2  over which it loses heat to the air */
    public function __construct(public float $massKg, public float $areaMm2, public float $heatJKgK) {}
}
