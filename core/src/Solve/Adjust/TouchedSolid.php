<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * A keep-out by points that were touched: a shaft, a plane, a box.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class TouchedSolid
{
    /** Points this close to one line or plane span nothing, mm. */
    private const FLAT_MM = 1e-6;

    /**
     * @param  list<string>  $points  names
     * @param  float  $diameterMm  of a capsule
     * @param  Word|null  $free  of a plane: the side without the solid
     */
    public function __construct(
        public string $id,
        public string $kind,
        public array $points,
        public float $diameterMm = 0.0,
        public ?Word $free = null,
    ) {}

    /**
     * @return array<string, mixed>|null null where its points lie in one line or plane
     */
    public function at(Adjustment $now): ?array
    {
        $places = array_map(static fn (string $name): array => $now->estimate->places[$name], $this->points);
        $grow = ClosingGap::SURE * max([0.0, ...array_map($now->greatestSd(...), $this->points)]);
        $solid = match ($this->kind) {
            'capsule' => self::capsule($places, $this->diameterMm),
            'halfspace' => self::halfspace($places, $this->free ?? Word::Up),
            default => self::box($places),
        };

        return $solid === null ? null : [...$solid, 'grow' => $grow];
    }

    /**
     * @param  list<Triple>  $places
     * @return array<string, mixed>|null
     */
    private static function capsule(array $places, float $diameterMm): ?array
    {
        return Xyz::length(Xyz::minus($places[1], $places[0])) < self::FLAT_MM
            ? null
            : ['from' => $places[0], 'to' => $places[1], 'radius' => $diameterMm / 2];
    }

    /**
     * @param  list<Triple>  $places
     * @return array<string, mixed>|null
     */
    private static function halfspace(array $places, Word $free): ?array
    {
        [$u, $v] = [Xyz::minus($places[1], $places[0]), Xyz::minus($places[2], $places[0])];
        $normal = Xyz::cross($u, $v);
        if (Xyz::length($normal) < self::FLAT_MM * max(1.0, Xyz::length($u) + Xyz::length($v))) {
            return null;
        }
        $normal = Xyz::unit($normal);

        return [
            'point' => $places[0],
            'normal' => Xyz::dot($normal, $free->way()) < 0.0 ? Xyz::times($normal, -1.0) : $normal,
        ];
    }

    /**
     * @param  list<Triple>  $places  a corner, and the other ends of its three edges
     * @return array<string, mixed>|null
     */
    private static function box(array $places): ?array
    {
        $axes = $size = [];
        $centre = $places[0];
        foreach ([1, 2, 3] as $k) {
            $edge = Xyz::minus($places[$k], $places[0]);
            $square = $edge;
            foreach ($axes as $axis) {
                $square = Xyz::plus($square, $axis, -Xyz::dot($square, $axis));
            }
            if (Xyz::length($square) < self::FLAT_MM * max(1.0, Xyz::length($edge))) {
                return null;
            }
            $axis = Xyz::unit($square);
            $axes[] = $axis;
            $size[] = Xyz::dot($edge, $axis);
            $centre = Xyz::plus($centre, $axis, Xyz::dot($edge, $axis) / 2);
        }

        return ['centre' => $centre, 'size' => $size, 'axes' => $axes];
    }
}
