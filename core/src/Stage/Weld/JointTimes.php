<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

/**
 * How long one joint takes, in seconds: filling it with argon, welding it with all stops, keeping the purge on until
 * its root may see air, and cooling from the end of the weld until the next seam may be welded beside it, and until a
 * hand may rest on it. From `apartMm` on along its tube another seam need not wait.
 */
final readonly class JointTimes
{
    public function __construct(
        public float $fillS,
        public float $weldS,
        public float $keepS,
        public float $coolS,
        public float $touchS,
        public float $apartMm,
        public Warmth $warmth,
    ) {}
}
