<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;

/** The opening of a port: its shape and its inside sizes. */
final readonly class Bore
{
    /** An outline has about so many points. */
    private const POINTS = 48;

    /**
     * @param  Length  $width  the diameter of a round one
     * @param  Length  $height  square to the width; of a D with its half circle
     * @param  Length  $corner  radius of the corners of a rectangle
     * @param  float  $turnDeg  of its height from straight up, clockwise looking with the flow
     */
    public function __construct(
        public BoreShape $shape,
        public Length $width,
        public Length $height,
        public Length $corner,
        public float $turnDeg = 0.0,
    ) {}

    /** Of the opening, in mm². */
    public function areaMm2(): float
    {
        [$w, $h, $r] = [$this->width->mm, $this->height->mm, $this->corner->mm];
        $d = min($w, $h);

        return match ($this->shape) {
            BoreShape::Round => M_PI / 4 * $w * $w,
            BoreShape::Oval => M_PI / 4 * $d * $d + $d * (max($w, $h) - $d),
            BoreShape::D => $w * ($h - $w / 2) + M_PI / 8 * $w * $w,
            BoreShape::Rectangle => $w * $h - (4 - M_PI) * $r * $r,
        };
    }

    /** The way round its edge, mm. */
    public function aroundMm(): float
    {
        [$w, $h, $r] = [$this->width->mm, $this->height->mm, $this->corner->mm];
        $d = min($w, $h);

        return match ($this->shape) {
            BoreShape::Round => M_PI * $w,
            BoreShape::Oval => M_PI * $d + 2 * (max($w, $h) - $d),
            BoreShape::D => $w + 2 * ($h - $w / 2) + M_PI / 2 * $w,
            BoreShape::Rectangle => 2 * ($w + $h) - (8 - 2 * M_PI) * $r,
        };
    }

    /** The bore of a round tube that is as long round its inside: what can be formed to it without stretching. */
    public function roundMm(): float
    {
        return $this->aroundMm() / M_PI;
    }

    /** @return list<Vector> its edge, once round, at an end that is looked at with the flow */
    public function outline(Frame $frame): array
    {
        $up = $frame->reference->turnedAbout($frame->forward, $this->turnDeg);
        $right = $up->turnedAbout($frame->forward, 90);

        return array_map(
            static fn (array $xy): Vector => $frame->at->plus($right->times($xy[0]))->plus($up->times($xy[1])),
            $this->edge(),
        );
    }

    /** @return list<array{float, float}> right and up of its middle, mm */
    private function edge(): array
    {
        [$w, $h] = [$this->width->mm / 2, $this->height->mm / 2];
        // Every shape is a rectangle with a radius for its upper and one for its lower corners.
        [$top, $foot, $h] = match ($this->shape) {
            BoreShape::Round => [$w, $w, $w],
            BoreShape::Oval => [min($w, $h), min($w, $h), $h],
            BoreShape::D => [$w, 0.0, $h],
            BoreShape::Rectangle => [$this->corner->mm, $this->corner->mm, $h],
        };
        $edge = [];
        foreach (
            [[1, 1, $top, 0], [-1, 1, $top, 90], [-1, -1, $foot, 180], [1, -1, $foot, 270]] as [$x, $y, $radius, $from]
        ) {
            $steps = $radius > 0.0 ? intdiv(self::POINTS, 4) : 0;
            for ($i = 0; $i <= $steps; $i++) {
                $angle = deg2rad($from + ($steps > 0 ? 90 * $i / $steps : 0));
                $edge[] = [$x * ($w - $radius) + $radius * cos($angle), $y * ($h - $radius) + $radius * sin($angle)];
            }
        }

        return $edge;
    }
}
