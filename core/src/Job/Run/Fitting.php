<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

use UpsweptBead\Core\Base\Units\Length;

/**
 * Something welded onto the side of a run.
 *
 * `station` along the centreline from the run's start; `fromTopDeg` round the tube from straight up as it is fitted,
 * clockwise looking with the flow; `length` of a crack, once it is ground out to sound metal.
 */
final readonly class Fitting
{
    public function __construct(
        public FittingKind $kind,
        public Length $station,
        public float $fromTopDeg,
        public ?Length $length = null,
        private ?string $metal = null,
    ) {}

    /** What it is made of: what was said, else as it is sold for a tube of that metal. Common practice. */
    public function metalOn(string $tubeMetal): string
    {
        return $this->metal ?? (in_array($tubeMetal, ['mild', 'titanium', '625'], true) ? $tubeMetal : '304L');
    }

    /** The metal that was said; null where none was. */
    public function saidMetal(): ?string
    {
        return $this->metal;
    }
}
