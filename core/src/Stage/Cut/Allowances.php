<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Base\Reason\Figure;

/**
 * What a piece is cut longer by than it ends up in the run, in mm: left to trim at the trial fit, pulled short by its
 * welds, and gone into the part that its end slips into. It all lies at one end or the other.
 */
final readonly class Allowances
{
    /**
     * @param  float  $startMm  what of it lies at the upstream end
     * @param  float  $shrinkStartMm  what of the shrink does
     */
    public function __construct(
        public Figure $trim,
        public Figure $shrink,
        public Figure $slip,
        public float $startMm,
        public float $shrinkStartMm = 0.0,
    ) {}

    public function totalMm(): float
    {
        return $this->slip->value + $this->trim->value + $this->shrink->value;
    }

    public function endMm(): float
    {
        return $this->totalMm() - $this->startMm;
    }
}
