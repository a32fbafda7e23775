<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Looks;

use UpsweptBead\Core\Base\Geometry\Vector;

/** The plane in which two banks of tubes mirror each other, as far as their ends say. */
final readonly class Mirror
{
    /** One bank of an engine may stand this much further forward than the other. */
    private const PORT_MM = 30.0;

    private const PORT_DEG = 3.0;

    /** Directions that differ by more than this tell the plane. */
    private const TELLING = 0.1;

    /** Inlets may be this far off and still belong to each other. */
    private const END_MM = 50.0;

    /**
     * @param  Vector  $normal  of length 1
     * @param  list<int>  $partner  of each tube the one on the other bank
     */
    private function __construct(public Vector $point, public Vector $normal, public array $partner) {}

    /**
     * @param  list<array{Vector, Vector}>  $ports  place and direction
     * @param  list<Vector>  $ends  in any order
     * @return self|null null if they are no two banks
     */
    public static function of(array $ports, array $ends): ?self
    {
        if (count($ports) % 2 !== 0) {
            return null;
        }
        $pairs = Row::of(array_column($ports, 0))->pairs;
        for ($j = 1; $j < count($ports); $j++) {
            $across = $ports[$j][0]->minus($ports[0][0]);
            // Directions that mirror each other differ square to the plane, however the ports are staggered.
            $apart = $ports[$j][1]->minus($ports[0][1]);
            if ($across->length() > 2 * self::PORT_MM) {
                $mirror = new self(
                    $ports[0][0]->plus($across->times(0.5)),
                    ($apart->length() > self::TELLING ? $apart : $across)->unit(),
                    [],
                );
                $partner = $mirror->partners($ports);
                if ($partner !== null && $mirror->holdsFor($ends) && $mirror->partsNo($pairs, $ports)) {
                    return new self($mirror->point, $mirror->normal, $partner);
                }
            }
        }

        return null;
    }

    public function image(Vector $point): Vector
    {
        return $point->minus($this->normal->times(2 * $point->minus($this->point)->dot($this->normal)));
    }

    public function imageOfDirection(Vector $direction): Vector
    {
        return $direction->minus($this->normal->times(2 * $direction->dot($this->normal)));
    }

    /**
     * The furthest that a place of one tube lies from the same place of its partner's image.
     *
     * @param  list<list<Vector>>  $lines  every tube's centreline as one number of points at equal steps
     */
    public function errorMm(array $lines): float
    {
        $worst = 0.0;
        foreach ($this->partner as $i => $j) {
            foreach ($i < $j ? $lines[$i] : [] as $k => $point) {
                $worst = max($worst, $point->distanceTo($this->image($lines[$j][$k])));
            }
        }

        return $worst;
    }

    /**
     * @param  list<array{Vector, Vector}>  $ports
     * @return list<int>|null
     */
    private function partners(array $ports): ?array
    {
        $partner = [];
        foreach ($ports as $i => [$at, $direction]) {
            foreach ($ports as $j => [$other, $way]) {
                if (
                    $i !== $j &&
                    $this->image($at)->distanceTo($other) < self::PORT_MM &&
                    $this->imageOfDirection($direction)->angleDegTo($way) < self::PORT_DEG
                ) {
                    $partner[] = $j;

                    continue 2;
                }
            }

            return null;
        }

        return $partner;
    }

    /**
     * A plane through the middle of one row makes no two banks of it.
     *
     * @param  list<array{int, int}>  $neighbours
     * @param  list<array{Vector, Vector}>  $ports
     */
    private function partsNo(array $neighbours, array $ports): bool
    {
        $side = fn (int $i): float => $ports[$i][0]->minus($this->point)->dot($this->normal);
        foreach ($neighbours as [$i, $j]) {
            if ($side($i) * $side($j) < 0.0) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<Vector>  $ends */
    private function holdsFor(array $ends): bool
    {
        foreach ($ends as $end) {
            $image = $this->image($end);
            if (min(INF, ...array_map($image->distanceTo(...), $ends)) > self::END_MM) {
                return false;
            }
        }

        return true;
    }
}
