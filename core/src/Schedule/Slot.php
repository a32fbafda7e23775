<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule;

use UpsweptBead\Core\Fit\Order\Phase;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Weld\JointTimes;

/**
 * One weld in its turn. `startS` is when it is begun and `waitS` how long nobody can go on before it, in seconds;
 * `checks` are welded joints whose temperature is measured first, each with the seconds it still has to cool when it
 * comes up.
 */
final readonly class Slot
{
    /** @param  array<string, float>  $checks  by joint */
    public function __construct(
        public int $order,
        public Joint $joint,
        public Phase $phase,
        public int $batch,
        public string $why,
        public float $startS,
        public array $checks,
        public JointTimes $times,
    ) {}

    public function waitS(): float
    {
        return array_sum($this->checks);
    }
}
