<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Stock;

use UpsweptBead\Core\Base\Reason\Source;

/**
 * A gas lens cup: its number is its bore in sixteenths of an inch; what it measures, and the gas it takes (CFH).
 *
 * Bore and gas are common practice. What a cup measures outside, its length and both stick-outs are our own estimates.
 */
final readonly class GasCup
{
    /**
     * @param  float  $stickOutMm  of the tungsten, as it is used
     * @param  float  $longMm  of the tungsten where the cup does not fit otherwise, with more gas
     */
    public function __construct(
        public int $number,
        public float $boreMm,
        public float $outsideMm,
        public float $lengthMm,
        public float $stickOutMm,
        public float $longMm,
        public float $leastCfh,
        public float $mostCfh,
        public Source $source,
    ) {}
}
