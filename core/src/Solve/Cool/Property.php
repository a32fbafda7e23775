<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool;

/** A property of a metal by its temperature: straight between the places of a table, and as at its ends beyond them. */
final readonly class Property
{
    /** @param  non-empty-list<array{float, float}>  $table  °C, ascending, and the value there */
    public function __construct(private array $table) {}

    public static function constant(float $value): self
    {
        return new self([[0.0, $value]]);
    }

    public function at(float $celsius): float
    {
        [$below, $value] = $this->table[0];
        if ($celsius <= $below) {
            return $value;
        }
        foreach ($this->table as [$above, $next]) {
            if ($celsius < $above) {
                return $value + ($next - $value) * ($celsius - $below) / ($above - $below);
            }
            [$below, $value] = [$above, $next];
        }

        return $value;
    }
}
