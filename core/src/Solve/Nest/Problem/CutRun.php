<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Problem;

/** A run that is to be split into pieces. Stations and lengths in mm. */
final readonly class CutRun
{
    /**
     * @param  list<array{float, float}>  $noJoint  from where to where no joint may lie strictly inside
     * @param  list<float>  $joints  stations where there must be one, in the order of the file
     * @param  float  $firstLongMm  extra length left at its first end
     * @param  float  $lastLongMm  and at its last
     */
    public function __construct(
        public string $id,
        public string $tube,
        public Chain $chain,
        public array $noJoint,
        public array $joints,
        public float $firstLongMm,
        public float $lastLongMm,
    ) {}
}
