<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

use UpsweptBead\Core\Solve\Adjust\Observation\AngleOf;
use UpsweptBead\Core\Solve\Adjust\Observation\AxisAngle;
use UpsweptBead\Core\Solve\Adjust\Observation\Offset;

/** What too little was read of, and the few cheap readings that would mend it. */
final readonly class Undetermined
{
    /** Nobody knows more than that of a place (mm) or an axis (degrees) that is less sure. */
    private const MOST_MM = 1000.0;

    private const MOST_DEG = 60.0;

    private const AXES = ['x', 'y', 'z'];

    /**
     * @param  list<string>  $places  names
     * @param  list<string>  $axes  names of ends
     * @param  list<array<string, string>>  $cure  readings without a value
     */
    private function __construct(public array $places, public array $axes, public array $cure) {}

    /** Null where everything is determined. */
    public static function of(Sheet $sheet, Fit $fit): ?self
    {
        $unknowns = $sheet->unknowns;
        $covariance = $fit->equations->looseCovariance();
        [$places, $axes] = self::unsure($unknowns, $covariance);

        return $places === [] && $axes === []
            ? null
            : new self($places, $axes, self::cure($unknowns, $fit->estimate, $covariance));
    }

    /**
     * @param  list<list<float>>  $covariance
     * @return array{list<string>, list<string>}
     */
    private static function unsure(Unknowns $unknowns, array $covariance): array
    {
        $sd = static fn (int $i, int $wide): float => sqrt(
            Symmetric::greatest(Adjustment::block($covariance, $i, $wide)),
        );
        $places = $axes = [];
        foreach ($unknowns->places as $name => $i) {
            if ($sd($i, 3) > self::MOST_MM) {
                $places[] = "$name";
            }
        }
        foreach ($unknowns->axes as $name => $i) {
            if (rad2deg($sd($i, 2)) > self::MOST_DEG) {
                $axes[] = "$name";
            }
        }

        return [$places, $axes];
    }

    /**
     * One reading for each number that is missing: of all cheap ones the one that says most about what is still open.
     *
     * @param  list<list<float>>  $covariance
     * @return list<array<string, string>>
     */
    private static function cure(Unknowns $unknowns, Estimate $at, array $covariance): array
    {
        $scale = self::scale($unknowns);
        $scaled = [];
        foreach ($covariance as $i => $row) {
            $line = [];
            foreach ($row as $j => $value) {
                $line[] = $value / ($scale[$i] * $scale[$j]);
            }
            $scaled[] = $line;
        }
        [$values, $ways] = Symmetric::principal($scaled);
        $open = [];
        foreach ($values as $i => $value) {
            if ($value > 1.0) {
                $open[] = $ways[$i];
            }
        }
        $cheap = self::cheap($unknowns, $at);
        $cure = [];
        while ($open !== [] && $cheap !== []) {
            [$best, $most, $parts] = [null, 0.0, []];
            foreach ($cheap as $k => [, $row]) {
                [$seen, $long] = [[], 0.0];
                foreach ($open as $way) {
                    $sum = 0.0;
                    foreach ($row as $i => $value) {
                        $sum += $value * $scale[$i] * $way[$i];
                    }
                    $seen[] = $sum;
                }
                foreach ($row as $i => $value) {
                    $long += ($value * $scale[$i]) ** 2;
                }
                $share = sqrt(self::square($seen) / max(1e-30, $long));
                if ($share > $most + 1e-6) {
                    [$best, $most, $parts] = [$k, $share, $seen];
                }
            }
            if ($best === null || $most < 0.05) {
                break;
            }
            $cure[] = $cheap[$best][0];
            unset($cheap[$best]);
            $open = self::without($open, $parts);
        }

        return $cure;
    }

    /**
     * What is still open once something is known of it: the ways square to that.
     *
     * @param  list<list<float>>  $open  square to one another
     * @param  list<float>  $parts  what was seen of each
     * @return list<list<float>>
     */
    private static function without(array $open, array $parts): array
    {
        $long = sqrt(self::square($parts));
        $seen = array_map(static fn (float $one): float => $one / $long, $parts);
        // A basis of what is square to the seen mixture, by turning that onto the last of them.
        $last = count($open) - 1;
        $mirror = $seen;
        $mirror[$last] += $seen[$last] >= 0.0 ? 1.0 : -1.0;
        $square = self::square($mirror);
        $left = [];
        for ($k = 0; $k < $last; $k++) {
            $way = [];
            foreach (array_keys($open[0]) as $i) {
                $sum = 0.0;
                foreach ($open as $m => $one) {
                    $sum += (($m === $k ? 1.0 : 0.0) - 2 * $mirror[$k] * $mirror[$m] / $square) * $one[$i];
                }
                $way[] = $sum;
            }
            $left[] = $way;
        }

        return $left;
    }

    /** @param  array<float>  $parts */
    private static function square(array $parts): float
    {
        return array_sum(array_map(static fn (float $one): float => $one ** 2, $parts));
    }

    /** @return list<float> by column: 1 m of a place, 60 degrees of an axis */
    private static function scale(Unknowns $unknowns): array
    {
        $scale = array_fill(0, max(1, $unknowns->count), self::MOST_MM);
        foreach ($unknowns->axes as $i) {
            $scale[$i] = $scale[$i + 1] = deg2rad(self::MOST_DEG);
        }

        return array_values($scale);
    }

    /** @return list<array{array<string, string>, array<int, float>}> cheap readings, with their rows */
    private static function cheap(Unknowns $unknowns, Estimate $at): array
    {
        $cheap = [];
        foreach (array_keys($unknowns->places) as $name) {
            foreach (self::AXES as $axis => $letter) {
                $one = new Offset("$name", Sheet::DATUM, $axis, 0.0);
                $cheap[] = [
                    ['kind' => 'offset', 'of' => "$name", 'axis' => $letter],
                    $one->at($at)->row($unknowns, $at),
                ];
            }
        }
        foreach (array_keys($unknowns->axes) as $name) {
            foreach ([[AngleOf::Dip, ['kind' => 'dip']], [AngleOf::Bearing, ['kind' => 'bearing']]] as [$of, $said]) {
                $one = new AxisAngle("$name", $of, 0.0);
                $cheap[] = [
                    [...$said, 'end' => "$name", ...$of === AngleOf::Bearing ? ['from' => 'x'] : []],
                    $one->at($at)->row($unknowns, $at),
                ];
            }
        }

        return $cheap;
    }
}
