<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

/** How runs enter a collector: into its expanded inlets, and there welded all round or left to slip. */
enum CollectorEntry: string
{
    /** Schedule 10 of the small sizes has 2.77 mm, the gauge next to it 2.77 too; less rounding. */
    private const HEAVY_MM = 2.7;

    case Welded = 'welded';
    case Slip = 'slip';
    /** Edge to edge, both bevelled alike: heavy tube and pipe. */
    case Butt = 'butt';

    public function label(): string
    {
        return match ($this) {
            self::Welded => 'slip in, welded all round',
            self::Slip => 'slip joint, not welded',
            self::Butt => 'butt, welded all round',
        };
    }

    /** How tube of such a wall enters a collector: schedule 10 and heavier is butted everywhere. Common practice. */
    public static function usual(float $wallMm): self
    {
        return $wallMm >= self::HEAVY_MM ? self::Butt : self::Welded;
    }
}
