<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld\Internal;

use UpsweptBead\Core\Solve\Cool\TubeSide;

/** What lies on either side of a seam, for how it cools. */
final readonly class AtSeam
{
    /**
     * @param  array{TubeSide, TubeSide}  $sides
     * @param  string  $what  stands at it and takes heat, in words; '' for nothing
     * @param  float  $intoEnd  share of the heat that goes into that
     */
    public function __construct(public array $sides, public string $what = '', public float $intoEnd = 0.0) {}
}
