<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/** The columns of what is to be found: three for a place, two for an axis, one for a radius. */
final readonly class Unknowns
{
    /**
     * @param  array<string, int>  $places  first column by name
     * @param  array<string, int>  $axes
     * @param  array<string, int>  $radii
     */
    private function __construct(public array $places, public array $axes, public array $radii, public int $count) {}

    /**
     * @param  list<string>  $places
     * @param  list<string>  $axes
     * @param  list<string>  $radii
     */
    public static function of(array $places, array $axes, array $radii): self
    {
        [$ofPlaces, $next] = self::columns($places, 3, 0);
        [$ofAxes, $next] = self::columns($axes, 2, $next);
        [$ofRadii, $next] = self::columns($radii, 1, $next);

        return new self($ofPlaces, $ofAxes, $ofRadii, $next);
    }

    /**
     * @param  list<string>  $names
     * @return array{array<string, int>, int} and the column after the last
     */
    private static function columns(array $names, int $wide, int $at): array
    {
        $all = [];
        foreach ($names as $name) {
            $all[$name] = $at;
            $at += $wide;
        }

        return [$all, $at];
    }
}
