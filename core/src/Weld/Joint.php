<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Weld;

/**
 * One seam: between which parts, where along the run, and what meets there.
 *
 * `seamMm` is its length round the tube or bung; walls in mm of the tube (`wallMm`) and of the part it meets
 * (`otherWallMm`); `strokes` is its index mark.
 */
final readonly class Joint
{
    public function __construct(
        public string $id,
        public JointType $type,
        public string $between,
        public string $and,
        public float $stationMm,
        public float $seamMm,
        public string $metal,
        public string $otherMetal,
        public float $wallMm,
        public float $otherWallMm,
        public float $odMm,
    ) {}
}
