<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

/** What a collector is made from, or that it is bought. */
enum CollectorMake: string
{
    case Straight = 'straight';
    case Bent = 'bent';
    case Quarters = 'quarters';
    case Bought = 'bought';

    public function label(): string
    {
        return match ($this) {
            self::Straight => 'Straight tube, cut to a template',
            self::Bent => 'Merge bends',
            self::Quarters => 'Pipe, cut in quarters',
            self::Bought => 'Bought, cast or fabricated',
        };
    }

    /** Whether its tubes lean to the axis from the mouth on; those of merge bends begin along it. */
    public function leans(): bool
    {
        return $this !== self::Bent;
    }

    public function isMade(): bool
    {
        return $this !== self::Bought;
    }
}
