<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Base\Units\Length;

/** What the tuning sums and the choice of metal are fed with. */
final readonly class EngineSpec
{
    /**
     * @param  float  $cylinderCc  swept volume of one cylinder
     * @param  float  $exhaustOpensDeg  degrees before bottom dead centre
     * @param  float  $peakRpm  speed that the length is to suit
     * @param  Length  $port  length of the exhaust port in the head
     * @param  ?float  $metalC  hottest the metal is expected to get; not the gas
     */
    public function __construct(
        public float $cylinderCc,
        public float $exhaustOpensDeg,
        public float $peakRpm,
        public Length $port,
        public ?float $metalC,
    ) {}
}
