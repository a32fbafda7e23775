<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Stock;

/** A base metal with the numbers that heat and mass are computed from: kg/m³, J/kg·K, W/m·K. */
final readonly class Metal
{
    public function __construct(
        public string $id,
        public string $name,
        public float $densityKgM3,
        public float $heatJKgK,
        public float $conductivityWMK,
        public string $warning,
    ) {}
}
