<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule\Internal;

use UpsweptBead\Core\Stage\Fit\Order\Phase;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Schedule\Weld;
use UpsweptBead\Core\Stage\Weld\JointTimes;
use UpsweptBead\Core\Stage\Weld\Warmth;

/** A welded joint, and which others wait for it to cool. */
final readonly class WarmJoint
{
    public function __construct(private Weld $weld, private JointTimes $times) {}

    public function joint(): Joint
    {
        return $this->weld->joint;
    }

    public function warmth(): Warmth
    {
        return $this->times->warmth;
    }

    /** Its neighbours on the same run do, as far as it warms them. */
    public function delays(Weld $later): bool
    {
        [$here, $there] = [$this->weld->joint, $later->joint];

        return $here->run === $there->run
            && abs($here->seam->stationMm - $there->seam->stationMm) < $this->times->apartMm;
    }

    /**
     * Whether hands go to it before another is welded, so that it has to be cool: before more is fitted to it, before
     * the runs are tacked, or fitted together again. Where nothing is done between two welds, no hand goes there.
     */
    public function isHandledBefore(Weld $later): bool
    {
        $earlier = $this->weld;
        if ($earlier->batch === $later->batch) {
            return false;
        }
        $isApart = $later->phase->isOnLoose()
            && $earlier->joint->run !== $later->joint->run
            && ! ($earlier->phase === Phase::Stub && $later->phase === Phase::Stub);

        return $later->phase === Phase::Together || ($earlier->phase->isFollowedByHands() && ! $isApart);
    }
}
