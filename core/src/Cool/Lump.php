<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cool;

/** A part of what stands at the end of a tube that has one temperature, behind the tube or the lump before it. */
final readonly class Lump
{
    /**
     * @param  float  $areaMm2  over which it loses heat to the air
     * @param  ?float  $linkWK  from what stands before it; null where they are one
     * @param  ?float  $plateWK  to the plate it stands on, or null
     * @param  ?Property  $heatJKgK  null where it is the tube's
     * @param  ?float  $emissivity  likewise
     * @param  float  $radiusMm  of the ring that it is, round which heat runs; 0 where it is as warm all round
     */
    public function __construct(
        public float $massKg,
        public float $areaMm2,
        public ?float $linkWK = null,
        public ?float $plateWK = null,
        public ?Property $heatJKgK = null,
        public ?float $emissivity = null,
        public float $radiusMm = 0.0,
    ) {}
}
