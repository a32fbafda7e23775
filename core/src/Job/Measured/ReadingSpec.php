<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Measured;

use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Solve\Adjust\ReadingKind;

/** A reading as it was taken at the vehicle; it is kept as read. */
final readonly class ReadingSpec
{
    /**
     * @param  string  $of  the end or point that it is about
     * @param  list<string>  $with  what else it names: measured from, to, between, square to
     * @param  Way|null  $way  along which an offset is counted, from which a bearing is, to which an axis leans
     * @param  Way|null  $toward  to which side a bearing turns; whether an axis falls or rises
     * @param  bool  $isOther  an axis is plumb, not level; the end faces against the face it stands square to
     * @param  list<Length>  $lengths  one of a tape; one or three of an offset; a bolt circle's diameter, if known
     * @param  list<array{Length, Length, Length}|string>  $points  touched on a rod, a face or at bolts, or their names
     * @param  float|null  $angleDeg  of a dip, a bearing, a lean or an angle
     * @param  Length|float|null  $tolerance  in place of the tool's own: a length, or degrees
     * @param  bool  $isLeftOut  it is kept, and nothing follows from it
     */
    public function __construct(
        public string $id,
        public ReadingKind $kind,
        public Tool $tool,
        public string $of,
        public array $with = [],
        public ?Way $way = null,
        public ?Way $toward = null,
        public bool $isOther = false,
        public array $lengths = [],
        public array $points = [],
        public ?float $angleDeg = null,
        public Length|float|null $tolerance = null,
        public bool $isLeftOut = false,
    ) {}

    /** How far it may be off by itself: one standard deviation, mm or degrees; null where the tool's own counts. */
    public function ownSigma(): ?float
    {
        return $this->tolerance instanceof Length ? $this->tolerance->mm : $this->tolerance;
    }
}
