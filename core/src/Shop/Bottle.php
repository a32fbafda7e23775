<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop;

/**
 * A bottle of argon: capacity in litres of free gas at its full pressure; pressures in kPa above the air's.
 *
 * Contents go with absolute pressure at one temperature; what is left below `usableKpa` cannot be drawn. `readAt` is when its
 * gauge was read, if that is known.
 */
final readonly class Bottle
{
    public const AIR_KPA = 101.3;

    /** A bottle that stands in the sun shows more than its full pressure; our own figure. */
    public const OVER_FULL = 1.15;

    public function __construct(
        public string $name,
        public BottleUse $use,
        public float $capacityL,
        public float $fullKpa,
        public float $gaugeKpa,
        public float $usableKpa = 350.0,
        public ?\DateTimeImmutable $readAt = null,
    ) {}

    /** The same when so many litres were drawn from it. */
    public function drawn(float $litres): self
    {
        $kpa = $litres * ($this->fullKpa + self::AIR_KPA) / $this->capacityL;

        return new self(
            $this->name,
            $this->use,
            $this->capacityL,
            $this->fullKpa,
            max(0.0, $this->gaugeKpa - $kpa),
            $this->usableKpa,
            $this->readAt,
        );
    }

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
