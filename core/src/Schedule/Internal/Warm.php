<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule\Internal;

use UpsweptBead\Core\Fit\Order\Phase;
use UpsweptBead\Core\Schedule\Weld;
use UpsweptBead\Core\Weld\JointTimes;

/** A welded joint, and which others wait for it to cool. */
final readonly class Warm
{
    public function __construct(private Weld $weld, private JointTimes $times) {}

    /** Its neighbours on the same run do, as far as it warms them. */
    public function delays(Weld $later): bool
    {
        [$here, $there] = [$this->weld->joint, $later->joint];

        return $here->run === $there->run
            && abs($here->seam->stationMm - $there->seam->stationMm) < $this->times->apartMm;
    }

    /**
     * Whether hands go everywhere between the two, so that all has to be cool: before the runs are tacked, or fitted
     * together again. Where nothing is done between two welds, no hand goes there.
     */
    public static function isHandledBetween(Weld $earlier, Weld $later): bool
    {
        return $earlier->batch !== $later->batch
            && ($earlier->phase->isFollowedByHands() || $later->phase === Phase::Together);
    }
}
