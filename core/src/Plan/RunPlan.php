<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan;

use UpsweptBead\Core\Cut\Nesting;
use UpsweptBead\Core\Cut\Piece;
use UpsweptBead\Core\Fit\FitStep;
use UpsweptBead\Core\Job\RunSpec;
use UpsweptBead\Core\Run\FarEnd;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Stock\TubeSize;
use UpsweptBead\Core\Weld\Joint;
use UpsweptBead\Core\Weld\JointSheet;

/** What follows from one run of the survey. Everything behind the route is empty while there is no buildable route. */
final readonly class RunPlan
{
    /**
     * @param  list<Piece>  $pieces
     * @param  list<Joint>  $joints  in the order of flow
     * @param  list<PlacedFitting>  $fittings
     * @param  list<StockNeed>  $stock
     * @param  list<FitStep>  $fitting
     * @param  list<JointSheet>  $sheets  in the order they are welded
     */
    public function __construct(
        public RunSpec $spec,
        public ?TubeSize $tube,
        public ?TubeRun $run,
        public ?FarEnd $farEnd,
        public array $pieces,
        public array $joints,
        public array $fittings,
        public ?Nesting $nesting,
        public array $stock,
        public array $fitting,
        public array $sheets,
    ) {}

    public static function unrouted(RunSpec $spec, ?TubeSize $tube): self
    {
        return new self($spec, $tube, null, null, [], [], [], null, [], [], []);
    }

    public function massKg(): float
    {
        return array_sum(array_map(static fn (Piece $piece): float => $piece->massKg, $this->pieces));
    }

    public function toBuy(): int
    {
        return array_sum(array_map(static fn (StockNeed $need): int => $need->toBuy(), $this->stock));
    }
}
