<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Joint;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Run\Centreline;
use UpsweptBead\Core\Solve\Run\Segment;

/**
 * A joint seen end-on, looking with the flow: what lies where round it, in degrees clockwise from the index mark.
 *
 * The index mark is put on the throat line of the bend before the joint (the start's reference line before the first).
 */
final readonly class JointFace
{
    /** Within this share of upright no side of a tube is its top. */
    private const UPRIGHT = 0.98;

    /**
     * @param  float|null  $upDeg  straight up as fitted; null where the tube stands upright
     * @param  float|null  $nextThroatDeg  throat line of the next bend; null behind the last
     */
    private function __construct(public ?float $upDeg, public ?float $nextThroatDeg) {}

    public static function of(Centreline $line, float $stationMm): self
    {
        $frame = $line->frameAt($stationMm);
        $isUpright = abs($frame->forward->z) > self::UPRIGHT;

        return new self(
            $isUpright ? null : $frame->turnDegTo(new Vector(0, 0, 1)),
            self::nextThroat($line, $stationMm, $frame),
        );
    }

    private static function nextThroat(Centreline $line, float $stationMm, Frame $frame): ?float
    {
        $next = array_values(
            array_filter(
                $line->segments,
                static fn (Segment $segment): bool => $segment->bendIndex !== null &&
                    $segment->fromMm >= $stationMm - 1e-6,
            ),
        );

        return $next === [] ? null : $frame->turnDegTo($next[0]->start->reference);
    }
}
