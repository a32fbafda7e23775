<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Part\PartSpec;

/** A bought part where it stands behind its run: a round body along the run's end, as long as it was measured. */
final readonly class PlacedPart
{
    /**
     * @param  Frame  $start  where the run ends and its body begins
     * @param  Frame  $end  its far end, straight on
     */
    private function __construct(
        public PartSpec $spec,
        public Frame $start,
        public Frame $end,
        public float $radiusMm,
    ) {}

    /** @return list<self> those whose length and width were measured, at runs that have a route */
    public static function all(Job $job, Layout $layout): array
    {
        $placed = [];
        foreach ($job->set->parts as $part) {
            $routed = $layout->run($part->inlet);
            if ($routed !== null && $part->length !== null && $part->width !== null) {
                $end = $routed->line->end;
                $placed[] = new self($part, $end, $end->advanced($part->length->mm), $part->width->mm / 2);
            }
        }

        return $placed;
    }
}
