<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Stage\Bench\Inspection\InspectedJoint;
use UpsweptBead\Core\Stage\Device\Trace;

/** One entry of the log: at which step, what is said of it, the readings as written, by whom and when. */
final readonly class LogEntry
{
    /**
     * @param  array<string, float>  $values  readings by the measure's name, in the base unit
     * @param  string  $why  somebody went on although the step asked for more; '' where it did not
     * @param  list<int>  $points  of the step that were confirmed, counted from 0
     * @param  list<Trace>  $traces
     * @param  string  $subject  the piece, joint, run or collector that the step is done to
     * @param  int  $revision  of the plan that it was made by; 0 where nobody asks
     */
    public function __construct(
        public string $id,
        public string $stepId,
        public EntryKind $kind,
        public array $values,
        public string $note,
        public string $by,
        public \DateTimeImmutable $at,
        public string $why = '',
        public array $points = [],
        public ?InspectedJoint $inspected = null,
        public array $traces = [],
        public string $subject = '',
        public int $revision = 0,
    ) {}
}
