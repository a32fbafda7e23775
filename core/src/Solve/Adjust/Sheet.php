<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * A sheet of readings: what is known, what is to be found, and what was read of it.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class Sheet
{
    public const DATUM = 'datum';

    /** The first point of a rod lies beyond this station, mm: it may touch a little behind the face. Of the format. */
    private const BEFORE_MM = -5.0;

    public Unknowns $unknowns;

    /**
     * @param  array<string, Triple|null>  $places  of points and ends, by name; null for what is to be found
     * @param  array<string, Triple|null>  $axes  of ends, out of the part
     * @param  list<string>  $ends  names of those places that are ends
     * @param  array<string, Word>  $facing  by end: that way its axis points, as far as it does
     * @param  array<string, Word>  $sides  by place: of answers that are mirrored, the one furthest that way
     * @param  list<Reading>  $readings
     */
    public function __construct(
        public array $places,
        public array $axes,
        public array $ends,
        public array $facing,
        public array $sides,
        public array $readings,
    ) {
        $radii = [];
        foreach ($readings as $reading) {
            foreach ($reading->observations as $one) {
                if ($one->of instanceof Observation\OnCircle && $one->of->radiusMm === null) {
                    $radii[$reading->id] = null;
                }
            }
        }
        $this->unknowns = Unknowns::of(self::open($places), self::open($axes), self::open($radii));
    }

    /**
     * @param  array<string, Triple|null>  $all
     * @return list<string> names of what is to be found
     */
    private static function open(array $all): array
    {
        $open = [];
        foreach ($all as $name => $one) {
            if ($one === null) {
                $open[] = "$name";
            }
        }

        return $open;
    }

    /**
     * @param  list<string>  $without  ids of observations that are left out
     * @return list<Observation>
     */
    public function observations(array $without = []): array
    {
        $all = array_merge(...array_map(static fn (Reading $one): array => $one->observations, $this->readings));

        return $without === [] ? $all : array_values(array_filter(
            $all,
            static fn (Observation $one): bool => ! in_array($one->id, $without, true),
        ));
    }

    /** Whether an estimate is as it was said: axes face that way, the points of a rod follow one another. */
    public function isAsSaid(Estimate $estimate): bool
    {
        foreach ($this->facing as $end => $word) {
            if (Xyz::dot($estimate->axes[$end], $word->way()) <= 0.0) {
                return false;
            }
        }
        foreach ($this->readings as $reading) {
            if ($reading->kind === ReadingKind::Rod && ! self::isInOrder($reading, $estimate)) {
                return false;
            }
            if ($reading->kind === ReadingKind::SquareTo) {
                $cosine = Xyz::dot($estimate->axes[$reading->end], $estimate->axes[$reading->to]);
                if ($reading->isOpposite ? $cosine >= 0.0 : $cosine <= 0.0) {
                    return false;
                }
            }
        }

        return true;
    }

    private static function isInOrder(Reading $rod, Estimate $estimate): bool
    {
        $last = self::BEFORE_MM;
        foreach ($rod->points as $point) {
            $at = is_string($point) ? $estimate->places[$point] : $point;
            $station = Xyz::dot(Xyz::minus($at, $estimate->places[$rod->end]), $estimate->axes[$rod->end]);
            if ($station <= $last) {
                return false;
            }
            $last = $station;
        }

        return true;
    }
}
