<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

/** What was chosen: pose, feed and vents, and the air that stays. */
final readonly class Held
{
    /**
     * @param  list<Opening>  $vents
     * @param  list<array{float, array{float, float, float}}>  $traps  mL and a place in each, the largest first
     */
    public function __construct(
        public Pose $pose,
        public Opening $feed,
        public array $vents,
        public float $trappedMl,
        public array $traps,
    ) {}
}
