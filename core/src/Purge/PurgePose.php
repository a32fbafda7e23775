<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Purge;

use UpsweptBead\Core\Gas\Assembly;
use UpsweptBead\Core\Gas\Bore;
use UpsweptBead\Core\Gas\Inside;
use UpsweptBead\Core\Gas\Opening;
use UpsweptBead\Core\Gas\Pose;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Run\Segment;
use UpsweptBead\Core\Run\TubeRun;

/**
 * Which end to feed and which to vent, and how to hold the piece: argon is heavier than air (1.661 against 1.204 kg/m³ at
 * 20 °C), so it fills from the lowest opening and drives the air out of the highest. Air that would have to go down first
 * stays; held as on the vehicle if little does, else the way a vise allows that leaves least.
 */
final readonly class PurgePose
{
    /** So much air (mL) is not worth holding a piece another way for. */
    public const WORTH_ML = 5.0;

    /** In a vise it is turned by steps of this about its first straight, held level. */
    private const TURN_DEG = 30;

    /** Slices along the tube (mm); a plan can do with wide ones. */
    private const STEP_MM = 4.0;

    /** Any hole in the dam of an end will do to find the way. */
    private const HOLE_MM = 10.0;

    /** @param  string  $hold  how it is held, in words; '' as on the vehicle */
    private function __construct(public bool $feedAtStart, public float $trappedMl, public string $hold) {}

    public static function of(TubeRun $run, float $boreMm): self
    {
        $bore = Bore::ofParts('run', $boreMm, array_map(static fn (Segment $one): array => [
            $one->lengthMm,
            $one->start->at,
            $one->start->forward,
            $one->bendIndex === null ? null : $one->start->at->plus($one->start->reference->times($one->clrMm)),
        ], $run->segments()));
        $ends = [
            new Opening('start', 'run', true, true, [self::HOLE_MM]),
            new Opening('end', 'run', false, true, [self::HOLE_MM]),
        ];
        $inside = new Inside(new Assembly(['run' => $bore], [], []), $ends, [], self::STEP_MM);
        $best = self::held($inside, new Vector(0, 0, 1), '');
        if ($best->trappedMl <= self::WORTH_ML) {
            return $best;
        }
        foreach (self::ways($run) as $hold => $up) {
            $one = self::held($inside, $up, "$hold");
            // Of ways that leave about the same the first: standing before clamped.
            $best = $one->trappedMl < $best->trappedMl - self::WORTH_ML ? $one : $best;
            if ($best->trappedMl <= self::WORTH_ML) {
                break;
            }
        }

        return $best;
    }

    /** Stood on its inlets with the outlet up, where the air leaves. */
    public static function onItsInlets(): self
    {
        return new self(true, 0.0, 'Stand it on its inlets, the outlet up.');
    }

    /** @return array<string, Vector> which way up is, by how it is held */
    private static function ways(TubeRun $run): array
    {
        $end = $run->end();
        $ways = [
            'Stand it with its far end straight up.' => $end->forward,
            'Stand it with its start straight up.' => $run->start->forward->times(-1),
        ];
        $along = $end->at->minus($run->start->at);
        if ($along->length() > 1e-6) {
            $ways['Stand it so that its far end is right over its start.'] = $along->unit();
        }
        $toEnds = $run->start->at->plus($end->at)->times(0.5)->minus($run->frameAt($run->lengthMm() / 2)->at);
        if ($toEnds->length() > 1e-6) {
            $ways['Hang it with its middle down and both ends up.'] = $toEnds->unit();
        }
        for ($deg = 0; $deg < 360; $deg += self::TURN_DEG) {
            // Looking with the flow, the index mark of the start goes round clockwise.
            $up = $run->start->reference->turnedAbout($run->start->forward, -$deg);
            $ways[sprintf(
                'Clamp it level by its first straight, the index mark of the start %d° clockwise from the top, looking with the flow.',
                $deg,
            )] = $up;
        }

        return $ways;
    }

    private static function held(Inside $inside, Vector $up, string $hold): self
    {
        $held = $inside->best([new Pose($up)], 1);

        return new self($held?->feed->isStart ?? true, $held->trappedMl ?? 0.0, $hold);
    }
}
