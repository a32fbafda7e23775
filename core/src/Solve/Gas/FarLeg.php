<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

use UpsweptBead\Core\Solve\Gas\Internal\FlushedLines;

/**
 * What lies beyond a joint that is left open: argon goes out by the joint and on to the vents behind it by their areas,
 * as the pressure is about the same all through.
 */
final readonly class FarLeg
{
    /**
     * @param  float  $share  of the flow that goes on
     * @param  float  $flowLMin  the same at the fill flow
     * @param  float  $minutes  until it is filled by that flow; INF where none goes on
     */
    private function __construct(
        public string $joint,
        public float $volumeMl,
        public float $share,
        public float $flowLMin,
        public float $minutes,
    ) {}

    /**
     * @param  list<GasJoint>  $leaks
     * @return list<self> those behind which something lies
     */
    public static function all(Assembly $assembly, array $leaks, Held $held, Holes $holes, PurgeRules $rules): array
    {
        $lines = new FlushedLines($assembly, $leaks);
        $lines->dead($held);
        $areas = [];
        foreach ($held->vents as $i => $vent) {
            $areas[FlushedLines::end($vent->tube, $vent->isStart)] = M_PI / 4 * $holes->mm[$i] ** 2;
        }
        foreach ($leaks as $leak) {
            $areas["joint $leak->id"] = $leak->gapMm2;
        }
        $legs = [];
        foreach ($leaks as $leak) {
            [$parts, $outlets] = $lines->beyond($leak, $held->feed);
            $volumeMl = 0.0;
            foreach ($parts as [$tube, $from, $until]) {
                $volumeMl += M_PI * $assembly->tubes[$tube]->radiusMm ** 2 * ($until - $from) / 1000;
            }
            if ($outlets === []) {
                continue;
            }
            $share = array_sum(array_intersect_key($areas, array_flip($outlets))) / array_sum($areas);
            $flow = $share * $rules->fillFlow;
            $legs[] = new self(
                $leak->id, $volumeMl, $share, $flow,
                $flow > 0.0 ? Filling::changes($rules->targetPpm) * $volumeMl / 1000 / $flow : INF,
            );
        }

        return $legs;
    }
}
