<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange;

use UpsweptBead\Core\Merge\BendMarks;
use UpsweptBead\Core\Merge\Collector\Collector;
use UpsweptBead\Core\Merge\Collector\Quarters;
use UpsweptBead\Core\Merge\Mitre;
use UpsweptBead\Core\Merge\PieCut;
use UpsweptBead\Core\Merge\Saddle;
use UpsweptBead\Core\Merge\Slip;

/** One joint of tubes as it was asked for, worked out. */
final readonly class MergeProblem
{
    /**
     * @param  list<float>  $psiDeg  the angles its tables are asked at
     * @param  float  $paperMm  thickness of the paper a template is printed on
     */
    public function __construct(
        public string $name,
        public Collector|Quarters|Saddle|Mitre|PieCut|BendMarks|Slip $joint,
        public array $psiDeg,
        public float $paperMm,
    ) {}
}
