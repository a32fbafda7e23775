<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

/** A part of a run and the interval of a copy of stock that it is cut from, with its extra length (mm). */
final readonly class CutPiece
{
    /**
     * @param  string  $run  its id
     * @param  int  $copy  counted from 1
     * @param  bool  $reversed  whether the end of the part that comes first in the run comes last on the stock
     */
    public function __construct(
        public string $run,
        public float $fromMm,
        public float $toMm,
        public string $item,
        public int $copy,
        public float $atMm,
        public float $untilMm,
        public bool $reversed,
    ) {}
}
