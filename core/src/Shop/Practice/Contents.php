<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

/** A bottle of argon: how much it holds when full (L of gas), and its pressures (kPa gauge). */
final readonly class Contents
{
    /** The standard atmosphere [ISO 2533]. */
    public const AIR_KPA = 101.325;

    public function __construct(
        public string $id,
        public float $capacityL,
        public float $fullKpa,
        public float $nowKpa,
        public float $leastKpa,
    ) {}

    /** Contents go with the absolute pressure at one temperature, as of an ideal gas. */
    public function usableL(): float
    {
        return max(0.0, $this->capacityL * ($this->nowKpa - $this->leastKpa) / ($this->fullKpa + self::AIR_KPA));
    }
}
