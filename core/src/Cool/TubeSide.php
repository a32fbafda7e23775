<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cool;

/** The tube on one side of a seam, as far as it goes; 0 mm where its end is at the seam. */
final readonly class TubeSide
{
    public function __construct(public float $lengthMm, public TubeEnd $end) {}
}
