<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Joint;

use UpsweptBead\Core\Job\Run\Fitting;
use UpsweptBead\Core\Solve\Run\Clocking;

/**
 * A fitting where it is marked: on which piece, how far from that piece's upstream end (mm), and how far round from the
 * throat line of the bend before it (from the start's index line where there is none).
 */
final readonly class PlacedFitting
{
    public function __construct(
        public Fitting $fitting,
        public string $run,
        public string $jointId,
        public string $pieceMark,
        public float $fromPieceStartMm,
        public Clocking $fromThroat,
    ) {}
}
