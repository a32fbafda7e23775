<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

/** How long a joint takes to cool, in seconds from the last of the arc, and how far along its tube it is felt. */
final readonly class CoolTimes
{
    /**
     * @param  float  $keepS  until its root may see air
     * @param  float  $coolS  until the next seam may be welded beside it
     * @param  float  $touchS  until a hand may rest on it
     * @param  float  $apartMm  from here on the tube never gets too warm to be welded
     * @param  Warmth  $warmth  of the tube beside it meanwhile
     * @param  string  $beside  what stands at it and takes heat, in words; '' for nothing
     */
    public function __construct(
        public float $keepS,
        public float $coolS,
        public float $touchS,
        public float $apartMm,
        public Warmth $warmth,
        public string $beside,
    ) {}
}
