<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Flange;

/**
 * The tightest line round discs: arcs of them and the straights that touch two. Round a port with its studs it is the
 * diamond of two bolts, the triangle of three, the rounded square of four.
 */
final readonly class Hull
{
    /** @param  non-empty-list<Disc>  $discs */
    public static function round(array $discs): Path
    {
        $angles = self::changes($discs);
        if ($angles === []) {
            $widest = self::widest($discs, 0.0);

            return Path::circle($widest->xMm, $widest->yMm, $widest->radiusMm);
        }
        $arcs = [];
        foreach ($angles as $i => $from) {
            $to = $angles[$i + 1] ?? $angles[0] + 2 * M_PI;
            if ($to - $from < 1e-12) {
                continue;
            }
            $disc = self::widest($discs, ($from + $to) / 2);
            $last = count($arcs) - 1;
            if ($last >= 0 && $arcs[$last][0] === $disc) {
                $arcs[$last][2] = $to;
            } else {
                $arcs[] = [$disc, $from, $to];
            }
        }
        // The first and the last may be one arc, cut where the turn begins.
        $last = count($arcs) - 1;
        if ($last > 0 && $arcs[$last][0] === $arcs[0][0]) {
            $arcs[0][1] = $arcs[$last][1] - 2 * M_PI;
            array_pop($arcs);
        }
        if (count($arcs) < 2) {
            $one = $arcs[0][0] ?? $discs[0];

            return Path::circle($one->xMm, $one->yMm, $one->radiusMm);
        }
        $vertices = [];
        foreach ($arcs as [$disc, $from, $to]) {
            $vertices[] = [...self::at($disc, $from), tan(($to - $from) / 4)];
            $vertices[] = [...self::at($disc, $to), 0.0];
        }

        return new Path($vertices);
    }

    /**
     * Directions in which two discs reach equally far: there the hull goes from one to the other.
     *
     * @param  non-empty-list<Disc>  $discs
     * @return list<float> in order, radians
     */
    private static function changes(array $discs): array
    {
        $angles = [];
        foreach ($discs as $i => $a) {
            foreach (array_slice($discs, $i + 1) as $b) {
                $apartMm = hypot($a->xMm - $b->xMm, $a->yMm - $b->yMm);
                $share = $apartMm > 1e-9 ? ($b->radiusMm - $a->radiusMm) / $apartMm : 2.0;
                if (abs($share) <= 1.0) {
                    $towards = atan2($a->yMm - $b->yMm, $a->xMm - $b->xMm);
                    foreach ([acos($share), -acos($share)] as $off) {
                        $angles[] = fmod($towards + $off + 4 * M_PI, 2 * M_PI);
                    }
                }
            }
        }
        sort($angles);

        return $angles;
    }

    /** @param  non-empty-list<Disc>  $discs */
    private static function widest(array $discs, float $angle): Disc
    {
        $best = $discs[0];
        $reach = static fn (Disc $one): float => $one->xMm * cos($angle) + $one->yMm * sin($angle) + $one->radiusMm;
        foreach ($discs as $one) {
            $best = $reach($one) > $reach($best) + 1e-12 ? $one : $best;
        }

        return $best;
    }

    /** @return array{float, float} */
    private static function at(Disc $disc, float $angle): array
    {
        return [$disc->xMm + $disc->radiusMm * cos($angle), $disc->yMm + $disc->radiusMm * sin($angle)];
    }
}
