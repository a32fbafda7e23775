<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Purge;

use UpsweptBead\Core\Geometry\Frame;
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
    /** A bend is looked at every so many degrees; a straight is highest at one of its ends. */
    private const EVERY_DEG = 5.0;

    private function __construct(public bool $feedAtStart, public float $trappedMm, public bool $stoodOnEnd) {}

    /** The pose on the vehicle if it vents freely; otherwise the run stood on end, if that leaves less air trapped. */
    public static function of(TubeRun $run, float $boreMm): self
    {
        $frames = self::frames($run);
        $asFitted = self::held($frames, $boreMm, new Vector(0, 0, 1), false);
        if ($asFitted->trappedMm === 0.0) {
            return $asFitted;
        }
        [$start, $end] = [$run->start->at, $run->end()->at];
        $toEnds = $start->plus($end)->times(0.5)->minus($run->frameAt($run->lengthMm() / 2)->at);
        $poses = [$asFitted];
        foreach ([$end->minus($start), $run->end()->forward, $run->start->forward->times(-1), $toEnds] as $up) {
            if ($up->length() > 1e-6) {
                $poses[] = self::held($frames, $boreMm, $up->unit(), true);
            }
        }
        usort($poses, static fn (self $a, self $b): int => $a->trappedMm <=> $b->trappedMm);

        return $poses[0];
    }

    /** Stood on its inlets with the outlet up, where the air leaves. */
    public static function onItsInlets(): self
    {
        return new self(true, 0.0, true);
    }

    /** @return non-empty-list<Frame> */
    private static function frames(TubeRun $run): array
    {
        $frames = [$run->start];
        foreach ($run->segments() as $segment) {
            $steps = max(1, (int) ceil($segment->angleDeg / self::EVERY_DEG));
            for ($i = 1; $i <= $steps; $i++) {
                $frames[] = $segment->frameAt($segment->fromMm + $segment->lengthMm * $i / $steps);
            }
        }

        return $frames;
    }

    /**
     * Heights are of the highest point of the bore at each station: centre + r·√(1 − (t·up)²).
     *
     * @param  non-empty-list<Frame>  $frames
     */
    private static function held(array $frames, float $boreMm, Vector $up, bool $stood): self
    {
        $heights = array_map(
            static fn (Frame $frame): float => $frame->at->dot($up) +
                ($boreMm / 2) * sqrt(max(0.0, 1 - $frame->forward->dot($up) ** 2)),
            $frames,
        );
        [$first, $last] = [$heights[0], $heights[count($heights) - 1]];
        $above = max($heights) - max($first, $last);

        return new self($first <= $last, $above > 1.0 ? $above : 0.0, $stood);
    }
}
