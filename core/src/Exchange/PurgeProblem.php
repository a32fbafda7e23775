<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange;

use UpsweptBead\Core\Gas\Assembly;
use UpsweptBead\Core\Gas\Bottle;
use UpsweptBead\Core\Gas\GasJoint;
use UpsweptBead\Core\Gas\Opening;
use UpsweptBead\Core\Gas\Pose;
use UpsweptBead\Core\Gas\PurgeRules;
use UpsweptBead\Core\Gas\PurgeStep;

/** A question of the open purge format, read. */
final readonly class PurgeProblem
{
    /**
     * @param  list<Opening>  $openings
     * @param  list<GasJoint>  $joints
     * @param  non-empty-list<Pose>  $poses
     * @param  bool  $hasVise  whether one of several poses is chosen
     * @param  non-empty-list<PurgeStep>  $sequence
     * @param  list<Bottle>  $bottles
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
