<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Purge;

use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Run\TubeRun;

/**
 * Which end to feed and which to vent: argon is heavier than air (1.661 against 1.204 kg/m³ at 20 °C), so it fills from
 * the lowest opening and drives the air out of the highest.
 *
 * `trappedMm` is how far a high point of the tube stands above the vent and keeps air; 0 when there is none.
 */
final readonly class PurgePose
{
    private const SAMPLES = 60;

    private function __construct(public bool $feedAtStart, public float $trappedMm, public bool $stoodOnEnd) {}

    /** The pose on the vehicle if it vents freely; otherwise the run stood on end, if that leaves less air trapped. */
    public static function of(TubeRun $run, float $boreMm): self
    {
        $asFitted = self::held($run, $boreMm, new Vector(0, 0, 1), false);
        if ($asFitted->trappedMm === 0.0) {
            return $asFitted;
        }
        [$start, $end] = [$run->start->at, $run->end()->at];
        $toEnds = $start->plus($end)->times(0.5)->minus($run->frameAt($run->lengthMm() / 2)->at);
        $poses = [$asFitted];
        foreach ([$end->minus($start), $run->end()->forward, $run->start->forward->times(-1), $toEnds] as $up) {
            if ($up->length() > 1e-6) {
                $poses[] = self::held($run, $boreMm, $up->unit(), true);
            }
        }
        usort($poses, static fn (self $a, self $b): int => $a->trappedMm <=> $b->trappedMm);

        return $poses[0];
    }

    /** Heights are of the highest point of the bore at each station: centre + r·√(1 − (t·up)²). */
    private static function held(TubeRun $run, float $boreMm, Vector $up, bool $stood): self
    {
        $heights = [-INF];
        $length = $run->lengthMm();
        for ($i = 0; $i <= self::SAMPLES; $i++) {
            $frame = $run->frameAt($length * $i / self::SAMPLES);
            $heights[$i] = $frame->at->dot($up) + $boreMm / 2 * sqrt(max(0.0, 1 - $frame->forward->dot($up) ** 2));
        }
        $feedAtStart = $heights[0] <= $heights[self::SAMPLES];
        $above = max($heights) - max($heights[0], $heights[self::SAMPLES]);

        return new self($feedAtStart, $above > 1.0 ? $above : 0.0, $stood);
    }
}
