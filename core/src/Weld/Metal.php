<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Weld;

use UpsweptBead\Core\Stock\Internal\Table;

/** A base metal with the numbers that heat and mass are computed from. */
final readonly class Metal
{
    private function __construct(
        public string $id,
        public string $name,
        public float $densityKgM3,
        public float $heatJKgK,
        public float $conductivityWMK,
        public string $warning,
    ) {}

    /** @return array<string, self> by id */
    public static function all(): array
    {
        $metals = [];
        foreach (Table::rows(dirname(__DIR__, 2).'/data/metals.csv') as $row) {
            $metals[$row['id']] = new self($row['id'], $row['name'], (float) $row['density_kg_m3'], (float) $row['heat_j_kgk'], (float) $row['conductivity_w_mk'], $row['warning']);
        }

        return $metals;
    }
}
