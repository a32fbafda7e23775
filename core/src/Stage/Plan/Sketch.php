<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Layout\Layout;

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
