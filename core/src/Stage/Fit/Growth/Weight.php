<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Growth;

/**
 * What hangs on the start of a run and on its hangers: its mass, how far out that is (mm), and who carries how much.
 */
final readonly class Weight
{
    /** What the ground pulls at, m/s². */
    public const G = 9.81;

    /** @param  array<string, float>  $carried  kg by the name of what carries it; less than 0 where it is pulled up */
    public function __construct(
        public string $run,
        public float $massKg,
        public float $armMm,
        public array $carried,
    ) {}

    /** About the start of the run, in N·m, as long as nothing else carries it. */
    public function momentNm(): float
    {
        return $this->massKg * self::G * $this->armMm / 1000;
    }

    /**
     * Shares masses out to what carries them: each between the two supports beside it, by the lever; beyond the last
     * one the last two, the inner of them pulled up.
     *
     * @param  non-empty-array<string, float>  $supports  stations (mm) by name, ascending
     * @param  list<array{float, float}>  $masses  station (mm) and mass (kg)
     * @return array<string, float> kg by name
     */
    public static function shared(array $supports, array $masses): array
    {
        $names = array_keys($supports);
        $at = array_values($supports);
        $carried = array_fill_keys($names, 0.0);
        $last = count($at) - 1;
        foreach ($masses as [$stationMm, $massKg]) {
            $i = 0;
            while ($i < $last - 1 && $stationMm > $at[$i + 1]) {
                $i++;
            }
            if ($last === 0 || $at[$i + 1] - $at[$i] < 1e-9) {
                $carried[$names[$i]] += $massKg;

                continue;
            }
            $share = ($stationMm - $at[$i]) / ($at[$i + 1] - $at[$i]);
            $carried[$names[$i]] += (1 - $share) * $massKg;
            $carried[$names[$i + 1]] += $share * $massKg;
        }

        return $carried;
    }
}
