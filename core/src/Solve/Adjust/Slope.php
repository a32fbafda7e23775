<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * A reading's residual at an estimate, value less computed, and how what is computed changes with each place, axis and
 * radius.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class Slope
{
    /**
     * @param  array<string, Triple>  $places
     * @param  array<string, Triple>  $axes
     * @param  array<string, float>  $radii
     */
    public function __construct(
        public float $residual,
        public array $places = [],
        public array $axes = [],
        public array $radii = [],
    ) {}

    /** @return array<int, float> by column of what is to be found */
    public function row(Unknowns $unknowns, Estimate $at): array
    {
        $row = [];
        foreach ($this->places as $name => $by) {
            $i = $unknowns->places[$name] ?? null;
            if ($i !== null) {
                $row[$i] = ($row[$i] ?? 0.0) + $by[0];
                $row[$i + 1] = ($row[$i + 1] ?? 0.0) + $by[1];
                $row[$i + 2] = ($row[$i + 2] ?? 0.0) + $by[2];
            }
        }
        foreach ($this->axes as $name => $by) {
            $i = $unknowns->axes[$name] ?? null;
            if ($i !== null) {
                [$h, $v] = Xyz::across($at->axes[$name]);
                $row[$i] = ($row[$i] ?? 0.0) + Xyz::dot($by, $h);
                $row[$i + 1] = ($row[$i + 1] ?? 0.0) + Xyz::dot($by, $v);
            }
        }
        foreach ($this->radii as $id => $by) {
            $i = $unknowns->radii[$id] ?? null;
            if ($i !== null) {
                $row[$i] = ($row[$i] ?? 0.0) + $by;
            }
        }

        return $row;
    }
}
