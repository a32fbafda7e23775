<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Geometry\Frame;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Units\Length;

/** Where a run starts or ends: the part it meets there, the point, and the direction of flow through it. */
final readonly class RunEnd
{
    /** @param  array{Length, Length, Length}  $at */
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
    ) {}

    /** @param  array{Length, Length, Length}  $at */
    public function moved(array $at, Vector $direction): self
    {
        return new self(
            $this->kind,
            $this->name,
            $at,
            $direction,
            $this->up,
            $this->metal,
            $this->wall,
            $this->bolts,
            $this->bore,
        );
    }

    public function renamed(string $name): self
    {
        return new self(
            $this->kind,
            $name,
            $this->at,
            $this->direction,
            $this->up,
            $this->metal,
            $this->wall,
            $this->bolts,
            $this->bore,
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
