<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * Where spheres round known places meet: the place that tapes lead to.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class Spheres
{
    /**
     * @param  list<array{Triple, float}>  $spheres  middle and radius, mm
     * @param  array<int, float>  $known  coordinates that are known already
     * @return Triple|null null where there are too few of them
     */
    public static function meet(array $spheres, array $known, ?Word $side): ?array
    {
        if (count($spheres) < 3) {
            return null;
        }
        [[$a, $ra], [$b, $rb]] = $spheres;
        $c = $rc = null;
        $most = 0.0;
        foreach (array_slice($spheres, 2) as [$at, $radius]) {
            $area = Xyz::length(Xyz::cross(Xyz::minus($b, $a), Xyz::minus($at, $a)));
            if ($area > $most) {
                [$c, $rc, $most] = [$at, $radius, $area];
            }
        }
        $i = Xyz::length(Xyz::minus($b, $a));
        if ($c === null || $rc === null || $i < 1.0 || $most < 1.0) {
            return null;
        }
        $ex = Xyz::unit(Xyz::minus($b, $a));
        $ac = Xyz::minus($c, $a);
        $along = Xyz::dot($ac, $ex);
        $ey = Xyz::unit(Xyz::plus($ac, $ex, -$along));
        $ez = Xyz::cross($ex, $ey);
        $j = Xyz::dot($ac, $ey);
        $x = ($ra ** 2 - $rb ** 2 + $i ** 2) / (2 * $i);
        $y = ($ra ** 2 - $rc ** 2 + $along ** 2 + $j ** 2 - 2 * $along * $x) / (2 * $j);
        // Where they just fail to meet a little height is kept, or the place could not leave their plane.
        $z = sqrt(max($ra ** 2 - $x ** 2 - $y ** 2, 1.0));
        $foot = Xyz::plus(Xyz::plus($a, $ex, $x), $ey, $y);
        [$above, $below] = [Xyz::plus($foot, $ez, $z), Xyz::plus($foot, $ez, -$z)];

        return self::off($above, $spheres, $known, $side) <= self::off($below, $spheres, $known, $side)
            ? $above
            : $below;
    }

    /**
     * How little a place agrees with all of them, and with what is known or said besides.
     *
     * @param  Triple  $at
     * @param  list<array{Triple, float}>  $spheres
     * @param  array<int, float>  $known
     */
    private static function off(array $at, array $spheres, array $known, ?Word $side): float
    {
        $off = 0.0;
        foreach ($spheres as [$middle, $radius]) {
            $off += abs(Xyz::length(Xyz::minus($at, $middle)) - $radius);
        }
        foreach ($known as $axis => $value) {
            $off += abs(($at[$axis] ?? $value) - $value);
        }

        return $off - ($side === null ? 0.0 : 1e-3 * Xyz::dot($at, $side->way()));
    }
}
