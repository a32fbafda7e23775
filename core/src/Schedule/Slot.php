<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule;

use UpsweptBead\Core\Fit\Order\Phase;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Weld\JointTimes;

/**
 * One weld in its turn, in seconds from the beginning: what is welded on is put up for `changeS`, nobody can go on for
 * `waitS`, then it is begun at `startS`, with what is left of its filling, and done at `endS`. `checks` are welded joints
 * whose temperature is measured first, each with the seconds it still has to cool when it comes up: until a hand may rest
 * on it where hands went everywhere before, else until a seam may be welded beside it.
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
        public float $changeS,
        public float $waitS,
        public float $startS,
        public float $endS,
        public array $checks,
        public bool $isHandled,
        public JointTimes $times,
    ) {}

    /** How long somebody is at it; the rest of its purge and of its cooling needs nobody. */
    public function attendedS(): float
    {
        return $this->endS - $this->startS;
    }
}
