<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

/**
 * A bottle of argon: capacity in litres of free gas at its full pressure; pressures in kPa above the air's.
 *
 * Contents go with absolute pressure at one temperature; below `leastKpa` no regulator draws any more. `readAt` is when
 * its gauge was read, if that is known.
 */
final readonly class Bottle
{
    /** A bottle that stands in the sun shows more than its full pressure; our own figure. */
    public const OVER_FULL = 1.15;

    public function __construct(
        public string $name,
        public BottleUse $use,
        public float $capacityL,
        public float $fullKpa,
        public float $gaugeKpa,
        public float $leastKpa = 350.0,
        public ?\DateTimeImmutable $readAt = null,
    ) {}

    /** The same when so many litres were drawn from it. */
    public function drawn(float $litres): self
    {
        $kpa = $litres * ($this->fullKpa + Contents::AIR_KPA) / $this->capacityL;

        return new self(
            $this->name,
            $this->use,
            $this->capacityL,
            $this->fullKpa,
            max(0.0, $this->gaugeKpa - $kpa),
            $this->leastKpa,
            $this->readAt,
        );
    }

    public function usableL(): float
    {
        return $this->contents()->usableL();
    }

    /** What it holds, as the sums of a whole bench take it. */
    public function contents(): Contents
    {
        return new Contents($this->name, $this->capacityL, $this->fullKpa, $this->gaugeKpa, $this->leastKpa);
    }

    /** The share of a full bottle, 0 to 1. */
    public function share(): float
    {
        return max(0.0, min(1.0, ($this->gaugeKpa + Contents::AIR_KPA) / ($this->fullKpa + Contents::AIR_KPA)));
    }
}
