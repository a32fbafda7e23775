<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool;

use UpsweptBead\Core\Solve\Cool\Internal\Course;
use UpsweptBead\Core\Solve\Cool\Internal\Fin;
use UpsweptBead\Core\Solve\Cool\Internal\Gauges;
use UpsweptBead\Core\Solve\Cool\Internal\Waves;

/**
 * How a seam round a tube warms and cools: heat runs along the tube, into flanges, rings and plates at its ends, and is
 * lost to the air and by radiation. Temperature varies only along the tube.
 */
final readonly class SeamCooling
{
    /** How much more error a step of a rough answer may have. */
    private const ROUGH = 6.0;

    /**
     * @param  float  $nearMm  the seam's temperature is the mean of the tube this far on either side of it
     * @param  list<float>  $limitsC
     * @param  list<float>  $timesMin  from the last moment of the arc
     * @param  list<array{int, float}>  $distances  side, 0 or 1, and mm from the seam
     * @param  bool  $isRough  off by a few per cent, in a fraction of the time
     * @param  bool  $withEnds  whether flanges and rings at the ends must be below the limits too
     * @param  list<float>  $spotLimitsC  of the hottest spot round the seam, welded in opposite quarters
     */
    public static function of(
        HotTube $tube,
        ArcHeat $heat,
        float $nearMm,
        array $limitsC,
        array $timesMin = [],
        array $distances = [],
        bool $isRough = false,
        bool $withEnds = false,
        array $spotLimitsC = [],
    ): CoolingCurve {
        if ($tube->isAlike()) {
            // Both sides are alike: one of them with half the heat is enough.
            $tube = $tube->half();
            $heat = $heat->halved();
            $distances = array_map(static fn (array $one): array => [1, $one[1]], $distances);
        }
        $fin = new Fin($tube, $heat, $isRough);
        $waves = $spotLimitsC === [] ? null : new Waves($fin, $heat);
        $gauges = new Gauges($fin, $tube, $nearMm, $limitsC, $distances, $withEnds, $spotLimitsC, $waves);
        $course = new Course($fin, $gauges, $isRough ? self::ROUGH : 1.0);
        $onS = $heat->arcS / $heat->runs;
        for ($run = 0; $run < $heat->runs; $run++) {
            if ($run > 0) {
                $course->go($heat->stopS, 0.0);
            }
            $course->go($onS, $heat->powerW);
        }
        $gauges->arcIsOff();
        $stops = array_values(array_unique($timesMin));
        sort($stops);
        $at = [];
        $goneMin = 0.0;
        foreach ($stops as $stopMin) {
            $course->go(($stopMin - $goneMin) * 60, 0.0);
            $goneMin = max($goneMin, $stopMin);
            $at["$stopMin"] = [$gauges->seamC(), $gauges->risesK()];
        }
        $course->untilSettled();
        $rises = [];
        foreach (array_keys($distances) as $i) {
            $asked = array_map(static fn (float $min): float => $at["$min"][1][$i], $timesMin);
            $rises[] = [$asked, $gauges->peakRiseK($i)];
        }

        return new CoolingCurve(
            $gauges->peakC(),
            $gauges->belowMin(),
            array_map(static fn (float $min): float => $at["$min"][0], $timesMin),
            $rises,
            $gauges->spotMin(),
        );
    }
}
