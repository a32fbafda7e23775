<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop;

/**
 * A bottle of argon: capacity in litres of free gas at its full pressure; pressures in kPa above the air's.
 *
 * Contents go with absolute pressure at one temperature; what is left below `usableKpa` cannot be drawn.
 */
final readonly class Bottle
{
    public const AIR_KPA = 101.3;

    public function __construct(
        public string $name,
        public BottleUse $use,
        public float $capacityL,
        public float $fullKpa,
        public float $gaugeKpa,
        public float $usableKpa = 350.0,
    ) {}

    public function usableL(): float
    {
        return $this->capacityL * max(0.0, $this->gaugeKpa - $this->usableKpa) / ($this->fullKpa + self::AIR_KPA);
    }

    /** The share of a full bottle, 0 to 1. */
    public function isFilledTo(): float
    {
        return max(0.0, min(1.0, ($this->gaugeKpa + self::AIR_KPA) / ($this->fullKpa + self::AIR_KPA)));
    }
}
