<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Shop\Practice\RoutingLimits;
use UpsweptBead\Core\Solve\Route\Problem\ObjectiveWeights;
use UpsweptBead\Core\Solve\Route\Problem\Preference;

/** What this job asks of its routes otherwise than the shop; null where it asks nothing of its own. */
final readonly class RoutingSpec
{
    /**
     * @param  list<BendPlane>  $planes  that bends are to lie in, if any
     * @param  bool  $mirrored  whether one bank is to mirror the other
     */
    public function __construct(
        public ?Length $firstStraight = null,
        public ?Length $innerStraight = null,
        public ?Length $lastStraight = null,
        public ?Length $gap = null,
        public ?int $maxBends = null,
        public Preference $prefer = Preference::FewBends,
        public array $planes = [],
        public bool $evenGaps = false,
        public bool $mirrored = false,
    ) {}

    public function on(RoutingLimits $shop): RoutingLimits
    {
        return new RoutingLimits(
            $this->firstStraight->mm ?? $shop->firstStraightMm,
            $this->innerStraight->mm ?? $shop->innerStraightMm,
            $this->lastStraight->mm ?? $shop->lastStraightMm,
            $shop->minAngleDeg,
            $shop->grid,
        );
    }

    public function weights(): ObjectiveWeights
    {
        return ObjectiveWeights::of($this->prefer)->withLooks(
            array_map(static fn (BendPlane $plane): Vector => $plane->normal(), $this->planes),
            $this->evenGaps,
            $this->mirrored,
        );
    }

    public function isEmpty(): bool
    {
        return $this->firstStraight === null &&
            $this->innerStraight === null &&
            $this->lastStraight === null &&
            $this->gap === null &&
            $this->maxBends === null &&
            $this->prefer === Preference::FewBends &&
            $this->planes === [] &&
            ! $this->evenGaps &&
            ! $this->mirrored;
    }
}
