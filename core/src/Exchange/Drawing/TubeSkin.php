<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/**
 * A tube as its straights and bends with one line along its side that goes straight on from each to the next, so that
 * skins built on it do not twist. Millimetres.
 */
final readonly class TubeSkin
{
    /** Shorter than this a straight is none. */
    private const LEAST_MM = 1e-6;

    /** @param  list<SkinPart>  $parts  in the order of flow */
    private function __construct(
        public string $name,
        public float $outerMm,
        public float $innerMm,
        public array $parts,
    ) {}

    public static function of(RoutedRun $run): self
    {
        $parts = [];
        $side = null;
        foreach ($run->line->segments as $segment) {
            if ($segment->lengthMm < self::LEAST_MM) {
                continue;
            }
            $start = $segment->start;
            $end = $segment->frameAt($segment->toMm());
            $side ??= $start->reference;
            $isBend = $segment->bendIndex !== null;
            $axis = $isBend ? $start->forward->cross($start->reference) : null;
            $after = $axis === null ? $side : $side->turnedAbout($axis, $segment->angleDeg);
            $parts[] = new SkinPart(
                $start->at,
                $start->forward,
                $side,
                $end->at,
                $end->forward,
                $after,
                $axis,
                $axis === null ? null : $start->at->plus($start->reference->times($segment->clrMm)),
                $segment->clrMm,
                $segment->angleDeg,
                $segment->lengthMm,
            );
            $side = $after;
        }

        return new self(
            $run->spec->letter,
            $run->tube->odMm / 2,
            $run->tube->odMm / 2 - $run->tube->wallMm,
            $parts,
        );
    }

    /** @return list<SkinRing> where parts meet, and both ends */
    public function rings(): array
    {
        $rings = [];
        foreach ($this->parts as $part) {
            $rings[] = new SkinRing($part->at, $part->forward, $part->side);
        }
        $last = $this->parts[count($this->parts) - 1] ?? null;
        if ($last !== null) {
            $rings[] = new SkinRing($last->endAt, $last->endForward, $last->endSide);
        }

        return $rings;
    }

    /**
     * Rings close enough to each other that facets between them lie near the tube.
     *
     * @param  float  $stepDeg  the most that a bend turns between two
     * @return list<SkinRing>
     */
    public function rounds(float $stepDeg): array
    {
        $rings = [];
        foreach ($this->parts as $part) {
            $steps = $part->axis === null ? 1 : max(1, (int) ceil($part->angleDeg / $stepDeg));
            for ($i = 0; $i < $steps; $i++) {
                $rings[] = $part->ringAt($i / $steps);
            }
        }
        $ends = $this->rings();

        return $ends === [] ? [] : [...$rings, $ends[count($ends) - 1]];
    }

    /** A point on a ring, turned from its line on the side, right-handed about the flow. */
    public static function on(SkinRing $ring, float $radiusMm, float $turnDeg): Vector
    {
        return $ring->at->plus($ring->side->turnedAbout($ring->forward, $turnDeg)->times($radiusMm));
    }
}
