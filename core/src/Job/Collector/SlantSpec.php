<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

/**
 * An open end that is cut at a slant, as a tip is. The run is measured to its longest side; `angleDeg` to the square
 * cut, `turnDeg` of the longest side from straight up, clockwise looking with the flow.
 */
final readonly class SlantSpec
{
    public const MOST_DEG = 70.0;

    public function __construct(public float $angleDeg, public float $turnDeg) {}
}
