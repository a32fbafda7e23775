<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan;

use UpsweptBead\Core\Cut\CutPlan;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Joint\JointList;
use UpsweptBead\Core\Layout\Layout;
use UpsweptBead\Core\Reason\Notice;
use UpsweptBead\Core\Shop\Rates;

/** The first stages of a plan, route, pieces and joints: all that is drawn and measured while something is dragged. */
final readonly class Sketch
{
    public function __construct(
        public Job $job,
        public Layout $layout,
        public CutPlan $cut,
        public JointList $joints,
        public Rates $rates,
    ) {}

    /** @return list<Notice> */
    public function notices(): array
    {
        return [...$this->layout->notices, ...$this->cut->notices, ...$this->joints->notices];
    }
}
