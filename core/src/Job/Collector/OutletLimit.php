<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;

/**
 * What a class, the road or the vehicle asks of where an exhaust ends: no less and no more along an axis of the datum.
 */
final readonly class OutletLimit
{
    /** Less than this is rounding, mm. */
    private const SLACK_MM = 0.05;

    /** @param  string  $name  what it is for, in the words of the rule book or the shop */
    public function __construct(
        public string $name,
        public OutletAxis $axis,
        public ?Length $least,
        public ?Length $most,
    ) {}

    /** How far a place is short of the least, mm; 0 where it is not. */
    public function shortMm(Vector $place): float
    {
        return $this->least === null ? 0.0 : self::beyond($this->least->mm - $this->axis->of($place));
    }

    /** How far a place is over the most, mm; 0 where it is not. */
    public function overMm(Vector $place): float
    {
        return $this->most === null ? 0.0 : self::beyond($this->axis->of($place) - $this->most->mm);
    }

    private static function beyond(float $mm): float
    {
        return $mm > self::SLACK_MM ? $mm : 0.0;
    }
}
