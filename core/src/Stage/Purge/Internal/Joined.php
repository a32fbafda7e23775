<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge\Internal;

use UpsweptBead\Core\Solve\Gas\Assembly;
use UpsweptBead\Core\Stage\Purge\Mouth;

/** What of the pipework on a bench is one inside: its tubes, what they are, where it is open. */
final readonly class Joined
{
    /**
     * @param  list<string>  $names  whole runs and collectors by letter, pieces by mark
     * @param  array<string, Mouth>  $mouths  by their ids
     * @param  string  $key  the same for whatever has the same inside
     * @param  float  $moreMl  that its collectors hold beyond the straight tubes they are filled as
     */
    public function __construct(
        public Assembly $assembly,
        public array $names,
        public array $mouths,
        public string $key,
        public float $moreMl = 0.0,
    ) {}
}
