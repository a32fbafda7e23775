<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cool;

use UpsweptBead\Core\Cool\Internal\Course;
use UpsweptBead\Core\Cool\Internal\Fin;
use UpsweptBead\Core\Cool\Internal\Gauges;
use UpsweptBead\Core\Cool\Internal\Waves;

/**
 * How a seam round a tube warms and cools, with heat along the tube, to the air, by radiation and into what stands at its
 * ends. Temperature varies only along the tube.
 */
final readonly class SeamCooling
{
    /** A rough answer lets a step be off by so much more. */
    private const ROUGH = 6.0;

    /**
     * @param  float  $nearMm  the seam is the mean of the tube within so much of it
     * @param  list<float>  $limitsC
     * @param  list<float>  $timesMin  from the last moment of the arc
     * @param  list<array{int, float}>  $distances  side, 0 or 1, and mm from the seam
     * @param  bool  $isRough  within a few hundredths, in a fraction of the time
     * @param  bool  $withEnds  whether what stands at the ends has to be below the limits too
     * @param  list<float>  $spotLimitsC  of the hottest spot of what the arc heats, welded by opposite quarters
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
            // The same on both sides: half of it with half the heat says all.
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
