<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

/** What a merge problem asks about. */
enum MergeKind: string
{
    case CollectorStraight = 'collector-straight';
    case CollectorBent = 'collector-bent';
    case CollectorQuarters = 'collector-quarters';
    case Saddle = 'saddle';
    case Mitre = 'mitre';
    case PieCut = 'piecut';
    case Bend = 'bend';
    case Donut = 'donut';
    case Slip = 'slip';

    /** Whether its answer has tables, at the angles asked for. */
    public function hasTables(): bool
    {
        return in_array($this, [
            self::CollectorStraight, self::CollectorBent, self::CollectorQuarters, self::Saddle, self::Mitre,
        ], true);
    }
}
