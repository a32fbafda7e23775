<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Document\Problem;

/** What reading a job document gave: the job, or the problems that stand in its way, each with its place. */
final readonly class JobReading
{
    /** @param  list<Problem>  $problems */
    public function __construct(public ?Job $job, public array $problems) {}
}
