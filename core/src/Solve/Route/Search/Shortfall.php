<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;

/**
 * One thing asked of a set that is not kept, and by how many mm; with what is needed to measure it again after a
 * change.
 */
final readonly class Shortfall
{
    /**
     * @param  int  $tube  place of the tube in the set
     * @param  int  $place  the straight, bend, piece or length group it is about
     * @param  array{float, float, float}  $normal  from the other tube to this one
     */
    public function __construct(
        public ShortfallKind $kind,
        public int $tube,
        public float $value,
        public int $other = -1,
        public int $place = 0,
        public float $share = 0.0,
        public int $otherPlace = 0,
        public float $otherShare = 0.0,
        public float $limit = 0.0,
        public float $sign = 1.0,
        public array $normal = [0.0, 0.0, 0.0],
        public ?KeepOut $solid = null,
    ) {}
}
