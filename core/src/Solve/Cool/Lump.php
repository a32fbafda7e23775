<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool;

/** One slice of a flange, ring or boss, at one temperature. The tube or the slice before it heats it. */
final readonly class Lump
{
    /**
     * @param  float  $areaMm2  its surface to the air
     * @param  ?float  $linkWK  from the tube or the slice before it; null where the two are one piece
     * @param  ?float  $plateWK  to the plate it is bolted to; null without one
     * @param  ?Property  $heatJKgK  specific heat; null where it is the tube's
     * @param  ?float  $emissivity  null where it is the tube's
     * @param  float  $radiusMm  of its middle, for heat that runs round it; 0 where it is as warm all round
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
