<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Route\Insertion\WholeTube;
use UpsweptBead\Core\Solve\Run\Centreline;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Survey\ClosingDoubt;

/**
 * One run of the survey with the tube it is made of and the route it takes; `path` is its place in the job document. How
 * sure its ends are is known where they were measured.
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
        public ?ClosingDoubt $doubt = null,
    ) {
        $this->line = Centreline::of($run);
    }

    /** As it goes in among the others: whole, its bends as coarse as that allows. */
    public function inOnePiece(): WholeTube
    {
        return new WholeTube(
            $this->spec->letter,
            $this->line->chords($this->tube->odMm, 0.0, Chords::COARSE),
            $this->line->start->forward,
            $this->line->end->forward,
        );
    }

    /** Whether one of its ends stands on the side of another run. */
    public function isBranch(): bool
    {
        return $this->spec->isBranch();
    }
}
