<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule;

use UpsweptBead\Core\Stage\Fit\Order\Phase;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Weld\JointTimes;

/**
 * One weld in its turn, in seconds from the beginning: what is welded on is put up for `changeS`, nobody can go on for
 * `waitS`, then it is begun at `startS`, with what is left of its filling, and done at `endS`. Welded joints are
 * measured first: `handled` until a hand may rest on them, as hands went there, `beside` until a seam may be welded
 * beside them, each with the seconds it still has to cool when it comes up.
 */
final readonly class Slot
{
    /**
     * @param  array<string, float>  $handled  by joint
     * @param  array<string, float>  $beside  by joint
     */
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
        public array $handled,
        public array $beside,
        public JointTimes $times,
    ) {}

    /** @return array<string, float> all that is measured before it, by joint */
    public function checks(): array
    {
        return $this->handled + $this->beside;
    }

    /** How long somebody is at it; the rest of its purge and of its cooling needs nobody. */
    public function attendedS(): float
    {
        return $this->endS - $this->startS;
    }
}
