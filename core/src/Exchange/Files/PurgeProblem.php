<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Shop\Practice\Contents;
use UpsweptBead\Core\Solve\Gas\Assembly;
use UpsweptBead\Core\Solve\Gas\GasJoint;
use UpsweptBead\Core\Solve\Gas\Opening;
use UpsweptBead\Core\Solve\Gas\Pose;
use UpsweptBead\Core\Solve\Gas\PurgeRules;
use UpsweptBead\Core\Solve\Gas\PurgeStep;

/** A question of the open purge format, read. */
final readonly class PurgeProblem
{
    /**
     * @param  list<Opening>  $openings
     * @param  list<GasJoint>  $joints
     * @param  non-empty-list<Pose>  $poses
     * @param  bool  $hasVise  whether one of several poses is chosen
     * @param  non-empty-list<PurgeStep>  $sequence
     * @param  list<Contents>  $bottles
     * @param  array<string, list<string>>  $lines
     */
    public function __construct(
        public string $name,
        public Assembly $assembly,
        public array $openings,
        public array $joints,
        public array $poses,
        public bool $hasVise,
        public PurgeRules $rules,
        public array $sequence,
        public array $bottles,
        public array $lines,
    ) {}
}
