<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

use UpsweptBead\Core\Solve\Merge\Flange\Path;

/** A flange as it was drawn: its outline and its openings, seen with the flow, about the middle of the largest. */
final readonly class PlateSpec
{
    public const MOST_POINTS = 600;

    public const MOST_OPENINGS = 30;

    /** @param  non-empty-list<Path>  $openings  the one that the gas goes through first */
    public function __construct(public Path $outline, public array $openings) {}
}
