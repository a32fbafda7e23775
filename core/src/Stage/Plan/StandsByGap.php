<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Run\StandingGap;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/** By how much a joint stands off, from the gap between it and what stands behind it on its run. Lengths in mm. */
final readonly class StandsByGap
{
    private function __construct(private RoutedRun $run, private float $stationMm, private float $farMm) {}

    /**
     * @param  string  $upTo  the joint that stands behind it, or "end"
     * @return ?self null where nothing of that name is behind it
     */
    public static function between(Sketch $sketch, Joint $joint, string $upTo): ?self
    {
        $run = $sketch->layout->run($joint->run);
        $farMm = $upTo === 'end' ? $run?->run->lengthMm() : $sketch->joints->find($upTo)?->seam->stationMm;

        return $run === null || $farMm === null || $farMm <= $joint->seam->stationMm
            ? null
            : new self($run, $joint->seam->stationMm, $farMm);
    }

    public function odMm(): float
    {
        return $this->run->tube->odMm;
    }

    /**
     * @param  float  $rodMm  how long the rod is that shows which way it points
     * @return array{Vector, Vector} of the joint, and of the end of a rod in it
     *
     * @throws \DomainException if the readings say no place
     */
    public function off(StandingGap $gap, float $rodMm): array
    {
        $planned = $this->run->run->frameAt($this->stationMm);
        $stands = $gap->nearOf($this->run->run->frameAt($this->farMm));
        $off = $stands->at->minus($planned->at);

        return [$off, $off->plus($stands->forward->minus($planned->forward)->times($rodMm))];
    }
}
