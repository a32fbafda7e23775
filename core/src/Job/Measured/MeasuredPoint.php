<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Measured;

use UpsweptBead\Core\Base\Units\Length;

/** A point that others are measured from: a dowel, a bolt head, the corner of a bracket. */
final readonly class MeasuredPoint
{
    /**
     * @param  array{Length, Length, Length}|null  $at  from the datum; null where it follows from readings
     * @param  Way|null  $side  of two places that fit alike, the one further that way
     */
    public function __construct(public string $name, public ?array $at, public ?Way $side = null) {}
}
