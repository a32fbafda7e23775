<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;

/**
 * How a collector is made and where it stands. Its sizes beyond that are proposed, and overruled by their keys.
 *
 * `at` is the middle of its mouths, `axis` the way the gas goes on, `turnDeg` where the first inlet stands round it:
 * from straight up, clockwise looking with the flow.
 */
final readonly class CollectorBuild
{
    public const MOST_INLETS = 6;

    /**
     * @param  string  $letter  of its pieces and joints; no run has it
     * @param  string  $tubeId  what its tubes are
     * @param  array{Length, Length, Length}  $at
     * @param  string|null  $bendId  the stock that merge bends are cut from
     * @param  string|null  $outletTubeId  the tube behind it; null where that is left open
     * @param  list<InletPose>  $poses  of a bought one, where its inlets are not evenly round the axis
     * @param  string|null  $into  letter of the run that begins at its outlet
     * @param  OutletPart|null  $part  what is welded to its outlet
     */
    public function __construct(
        public string $letter,
        public CollectorMake $make,
        public int $inlets,
        public string $tubeId,
        public array $at,
        public Vector $axis,
        public float $turnDeg,
        public ?string $bendId = null,
        public ?string $outletTubeId = null,
        public array $poses = [],
        public ?string $into = null,
        public ?OutletPart $part = null,
    ) {}

    /** In the middle of its mouths, the reference to the first inlet. */
    public function frame(): Frame
    {
        $at = new Vector($this->at[0]->mm, $this->at[1]->mm, $this->at[2]->mm);

        return Frame::facing($at, $this->axis)->turned($this->turnDeg);
    }

    /** @param  array{Length, Length, Length}  $at */
    public function movedTo(array $at, Vector $axis, float $turnDeg): self
    {
        return new self(
            $this->letter,
            $this->make,
            $this->inlets,
            $this->tubeId,
            $at,
            $axis,
            $turnDeg,
            $this->bendId,
            $this->outletTubeId,
            $this->poses,
            $this->into,
            $this->part,
        );
    }
}
