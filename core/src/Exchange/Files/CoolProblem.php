<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Solve\Cool\ArcHeat;
use UpsweptBead\Core\Solve\Cool\HotTube;

/** A question of the open cooling format, read. */
final readonly class CoolProblem
{
    /**
     * @param  list<float>  $limitsC
     * @param  list<float>  $timesMin
     * @param  list<array{int, float}>  $distances  side and mm
     */
    public function __construct(
        public string $name,
        public HotTube $tube,
        public ArcHeat $heat,
        public float $nearMm,
        public array $limitsC,
        public array $timesMin,
        public array $distances,
    ) {}
}
