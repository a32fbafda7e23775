<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust\Observation;

use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Sighting;
use UpsweptBead\Core\Solve\Adjust\Slope;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/**
 * A bolt hole that lies on a circle round an axis.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class OnCircle implements Sighting
{
    /**
     * @param  string  $circle  id of the reading: all of its holes have one radius
     * @param  string|Triple  $point  a name, or where it was read from the datum
     * @param  float|null  $radiusMm  null where it is to be found
     */
    public function __construct(
        public string $circle,
        public string $end,
        public string|array $point,
        public ?float $radiusMm,
    ) {}

    public function at(Estimate $estimate): Slope
    {
        $axis = $estimate->axes[$this->end];
        $point = is_string($this->point) ? $estimate->places[$this->point] : $this->point;
        $q = Xyz::minus($point, $estimate->places[$this->end]);
        $along = Xyz::dot($q, $axis);
        $out = Xyz::plus($q, $axis, -$along);
        $unit = Xyz::unit($out);
        $places = [$this->end => Xyz::times($unit, -1.0)];
        if (is_string($this->point) && $this->point !== $this->end) {
            $places[$this->point] = $unit;
        }

        return new Slope(
            ($this->radiusMm ?? $estimate->radii[$this->circle]) - Xyz::length($out),
            $places,
            [$this->end => Xyz::times($unit, -$along)],
            $this->radiusMm === null ? [$this->circle => -1.0] : [],
        );
    }
}
