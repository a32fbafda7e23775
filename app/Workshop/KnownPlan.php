<?php

declare(strict_types=1);

namespace App\Workshop;

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Stage\Cut\StockNeed;
use UpsweptBead\Core\Stage\Plan\NextAction;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Weld\JointSheet;

/** What screens, bench and rack want of a plan, small enough to be kept. */
final readonly class KnownPlan
{
    /**
     * @param  array<string, mixed>  $screens  as the screens get it
     * @param  list<BenchStep>  $steps
     * @param  list<StockNeed>  $stock
     * @param  array<string, array{float, float}>  $argonL  of torch and purge, by joint
     */
    private function __construct(
        public array $screens,
        public array $steps,
        public NextAction $planning,
        public array $stock,
        public int $joints,
        public UnitSystem $units,
        public array $argonL,
    ) {}

    public static function of(Plan $plan): self
    {
        return new self(
            PlanWriter::forScreens($plan),
            $plan->steps,
            NextAction::planning($plan),
            $plan->cut->stock,
            count($plan->joints->joints),
            $plan->job->units,
            array_map(static fn (JointSheet $sheet): array => $sheet->argonL(), $plan->weld->sheets),
        );
    }

    /**
     * What to do next at the bench, this plan being released.
     *
     * @param  int  $toBuy  pieces of stock that are missing now
     */
    public function making(Progress $progress, int $toBuy): NextAction
    {
        return NextAction::making($progress, $toBuy);
    }
}
