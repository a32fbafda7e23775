<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Timing;

/** What was found: a timetable in which all is done in time, or which task cannot be, or neither. */
final readonly class TimetableAnswer
{
    /**
     * @param  bool  $isBest  whether no other order is better
     * @param  ?int  $late  a task that cannot be done by when it is due
     */
    public function __construct(public ?Timetable $timetable, public bool $isBest, public ?int $late) {}
}
