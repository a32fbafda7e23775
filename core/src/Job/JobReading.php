<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Base\Document\Fault;

/** What reading a job document gave: the job, or the faults that stand in its way, each with its place. */
final readonly class JobReading
{
    /** @param  list<Fault>  $faults */
    public function __construct(public ?Job $job, public array $faults) {}
}
