<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Solve\Merge\BendMarks;
use UpsweptBead\Core\Solve\Merge\Collector\MergeCollector;
use UpsweptBead\Core\Solve\Merge\Collector\Quarters;
use UpsweptBead\Core\Solve\Merge\Mitre;
use UpsweptBead\Core\Solve\Merge\PieCut;
use UpsweptBead\Core\Solve\Merge\Saddle;
use UpsweptBead\Core\Solve\Merge\Slip;

/** One joint of tubes as it was asked for, worked out. */
final readonly class MergeProblem
{
    /**
     * @param  list<float>  $psiDeg  the angles its tables are asked at
     * @param  float  $paperMm  thickness of the paper a template is printed on
     */
    public function __construct(
        public string $name,
        public MergeCollector|Quarters|Saddle|Mitre|PieCut|BendMarks|Slip $joint,
        public array $psiDeg,
        public float $paperMm,
    ) {}
}
