<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Solve\Reach\Cup;
use UpsweptBead\Core\Solve\Reach\FillerRod;
use UpsweptBead\Core\Solve\Reach\Obstacle\Obstacle;
use UpsweptBead\Core\Solve\Reach\RoundSeam;
use UpsweptBead\Core\Solve\Reach\SeamPlace;
use UpsweptBead\Core\Solve\Reach\Torch;

/** A question of the open reach format, read. */
final readonly class ReachProblem
{
    /**
     * @param  RoundSeam|non-empty-list<SeamPlace>  $seam
     * @param  non-empty-list<Cup>  $cups
     * @param  list<Obstacle>  $obstacles
     * @param  float  $needShare  of the seam that a usable cup gets to, 0 to 1
     */
    public function __construct(
        public string $name,
        public RoundSeam|array $seam,
        public Torch $torch,
        public array $cups,
        public ?FillerRod $rod,
        public array $obstacles,
        public float $needShare,
    ) {}
}
