<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

/** What the outlet of a collector is to the engine, by its area over that of one tube. */
enum OutletArea
{
    case TooSmall;
    case Chokes;
    case Wide;

    /** Tubes come in steps, so an outlet this much over the band still chokes; our own figure. */
    private const OVER = 0.05;

    /** What two decimals do not show. */
    private const UNDER = 0.005;

    /**
     * @param  float  $ratio  area of the outlet over that of one tube
     * @param  float  $least  of the band that chokes: rule `merge.area_least`
     * @param  float  $most  rule `merge.area_most`
     */
    public static function of(float $ratio, float $least, float $most): self
    {
        return match (true) {
            $ratio < $least - self::UNDER => self::TooSmall,
            $ratio <= $most + self::OVER => self::Chokes,
            default => self::Wide,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::TooSmall => 'less than one tube: no engine wants that',
            self::Chokes => 'a choke outlet',
            self::Wide => 'larger than a choke outlet',
        };
    }
}
