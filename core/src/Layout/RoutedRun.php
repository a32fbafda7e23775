<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Layout;

use UpsweptBead\Core\Job\RunSpec;
use UpsweptBead\Core\Run\Centreline;
use UpsweptBead\Core\Run\FarEnd;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Stock\TubeSize;

/**
 * One run of the survey with the tube it is made of and the route it takes; `path` is its place in the job document.
 */
final readonly class RoutedRun
{
    public Centreline $line;

    public function __construct(
        public RunSpec $spec,
        public string $path,
        public TubeSize $tube,
        public TubeRun $run,
        public FarEnd $farEnd,
    ) {
        $this->line = Centreline::of($run);
    }

    /** Whether one of its ends stands on the side of another run. */
    public function isBranch(): bool
    {
        return $this->spec->isBranch();
    }
}
