<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Collector\SaddleSpec;
use UpsweptBead\Core\Job\Collector\SlantSpec;
use UpsweptBead\Core\Job\Points;

/** Where a run starts or ends: the part it meets there, the point, and the direction of flow through it. */
final readonly class RunEnd
{
    /** An end this near (mm), facing the same way to this, is there already. */
    private const SAME = 1e-3;

    /**
     * @param  array{Length, Length, Length}  $at
     * @param  bool  $isFree  it is wherever the pieces of its run end
     */
    public function __construct(
        public EndKind $kind,
        public string $name,
        public array $at,
        public Vector $direction,
        public ?Vector $up,
        public string $metal,
        public Length $wall,
        public ?FlangeBolts $bolts = null,
        public ?Bore $bore = null,
        public ?SaddleSpec $saddle = null,
        public ?PlateSpec $plate = null,
        public ?SlantSpec $slant = null,
        public bool $isFree = false,
    ) {}

    /** @param  array{Length, Length, Length}  $at */
    public function moved(array $at, Vector $direction): self
    {
        return $this->with($this->name, $at, $direction, $this->up, $this->metal, $this->wall);
    }

    /** Leaving, or coming in, at another angle than was surveyed. */
    public function facing(Vector $direction): self
    {
        return $this->moved($this->at, self::rounded($direction));
    }

    /** Where the pieces of its run end. */
    public function standing(Frame $frame): self
    {
        return $this->moved(Points::of($frame->at), self::rounded($frame->forward));
    }

    public function renamed(string $name): self
    {
        return $this->with($name, $this->at, $this->direction, $this->up, $this->metal, $this->wall);
    }

    /** With its flange as it was drawn, or laid out again. */
    public function plated(?PlateSpec $plate): self
    {
        return new self(
            $this->kind,
            $this->name,
            $this->at,
            $this->direction,
            $this->up,
            $this->metal,
            $this->wall,
            $this->bolts,
            $this->bore,
            $this->saddle,
            $plate,
            $this->slant,
            $this->isFree,
        );
    }

    /** Set against a part that is made here: its name, its metal and its wall go with the place. */
    public function against(string $name, Frame $frame, string $metal, float $wallMm): self
    {
        $now = $this->frame();
        $isThere = $now->at->distanceTo($frame->at) < self::SAME
            && $now->forward->distanceTo($frame->forward) < self::SAME
            && $now->reference->distanceTo($frame->reference) < self::SAME;

        return $this->with(
            $name,
            $isThere ? $this->at : Points::of($frame->at),
            $isThere ? $this->direction : self::rounded($frame->forward),
            $isThere ? $this->up : self::rounded($frame->reference),
            $metal,
            abs($this->wall->mm - $wallMm) < self::SAME ? $this->wall : Length::ofMm($wallMm),
        );
    }

    private static function rounded(Vector $one): Vector
    {
        return new Vector(round($one->x, 7) + 0.0, round($one->y, 7) + 0.0, round($one->z, 7) + 0.0);
    }

    /** @param  array{Length, Length, Length}  $at */
    private function with(string $name, array $at, Vector $direction, ?Vector $up, string $metal, Length $wall): self
    {
        return new self(
            $this->kind,
            $name,
            $at,
            $direction,
            $up,
            $metal,
            $wall,
            $this->bolts,
            $this->bore,
            $this->saddle,
            $this->plate,
            $this->slant,
            $this->isFree,
        );
    }

    /**
     * Where the nuts of its flange stand, and which way that lies from its middle.
     *
     * @return list<array{Vector, Vector}>
     */
    public function nuts(): array
    {
        $nuts = [];
        $frame = $this->frame();
        for ($i = 0; $this->bolts !== null && $i < $this->bolts->count; $i++) {
            $out = $frame->reference->turnedAbout(
                $frame->forward,
                $this->bolts->turnDeg + (360 * $i) / $this->bolts->count,
            );
            $nuts[] = [$frame->at->plus($out->times($this->bolts->circle->mm / 2)), $out];
        }

        return $nuts;
    }

    public function frame(): Frame
    {
        return Frame::facing(
            new Vector($this->at[0]->mm, $this->at[1]->mm, $this->at[2]->mm),
            $this->direction,
            $this->up,
        );
    }
}
