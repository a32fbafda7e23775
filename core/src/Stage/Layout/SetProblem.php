<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\LengthSpec;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;
use UpsweptBead\Core\Solve\Route\Problem\Inlet;
use UpsweptBead\Core\Solve\Route\Problem\InletRing;
use UpsweptBead\Core\Solve\Route\Problem\LengthGroup;
use UpsweptBead\Core\Solve\Route\Problem\Port;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Solve\Route\Problem\SetRules;
use UpsweptBead\Core\Solve\Route\Problem\StockBend;
use UpsweptBead\Core\Solve\Route\Problem\TubeStock;
use UpsweptBead\Core\Stage\Merge\Placement;
use UpsweptBead\Core\Stage\Survey\Surroundings;

/** States what a job asks of all its runs together as one route problem. */
final readonly class SetProblem
{
    /**
     * @throws UnknownStock if a run's tube, or any bend for it, is in no catalogue
     * @throws \OutOfBoundsException if the job has no runs
     */
    public static function of(Job $job, Shop $shop): RouteProblem
    {
        $job = Placement::in($job, $shop);
        // What stands on the side of another run is routed once that one lies.
        $job = $job->with(array_values(array_filter(
            $job->runs,
            static fn (RunSpec $run): bool => ! $run->isBranch(),
        )), $job->set);
        $ports = array_map(static fn (RunSpec $run): Port => self::port($run, $shop), $job->runs);
        $collectors = self::collectors($job, $shop);
        if ($ports === [] || $collectors === []) {
            throw new \OutOfBoundsException('The job has no runs yet.');
        }

        return new RouteProblem(
            $job->number,
            self::rules($job, $shop),
            $ports,
            $collectors,
            Surroundings::inPlace($job, $shop),
            array_map(
                static fn (LengthSpec $one): LengthGroup => new LengthGroup(
                    $one->runs,
                    $one->target?->mm,
                    $one->tolerancePercent,
                ),
                $job->set->lengths,
            ),
        );
    }

    public static function rules(Job $job, Shop $shop): SetRules
    {
        return new SetRules(
            $job->set->routing->on($shop->rules->routing()),
            $job->set->routing->maxBends ?? (int) $shop->rules->value('set.max_bends'),
            $job->set->routing->gap->mm ?? $shop->rules->value('clear.tube'),
            $shop->rules->value('clear.other'),
            $job->set->routing->weights(),
        );
    }

    /** @throws UnknownStock */
    public static function tube(string $tubeId, Shop $shop): TubeStock
    {
        $byRadius = [];
        foreach ($shop->catalogue->bendsFor($tubeId) as $bend) {
            $known = $byRadius[(string) $bend->clrMm] ?? null;
            $byRadius[(string) $bend->clrMm] = new StockBend(
                $bend->clrMm,
                max($bend->angleDeg, $known->maxAngleDeg ?? 0.0),
                min(self::leg($bend), $known->legMm ?? INF),
            );
        }
        if ($byRadius === []) {
            throw UnknownStock::noBendsFor($tubeId);
        }

        return new TubeStock($tubeId, $shop->catalogue->tube($tubeId)->odMm, array_values($byRadius));
    }

    private static function leg(BendStock $bend): float
    {
        return min($bend->clampLegMm, $bend->pullLegMm);
    }

    private static function port(RunSpec $run, Shop $shop): Port
    {
        return new Port(
            $run->letter,
            $run->start->frame()->at,
            $run->start->direction->unit(),
            self::tube($run->tubeId, $shop),
        );
    }

    /** @return list<InletRing> the surveyed ones, and one for each run that ends alone */
    private static function collectors(Job $job, Shop $shop): array
    {
        $collectors = $placed = [];
        $near = [$shop->rules->value('set.near_length'), $shop->rules->value('set.near_gap')];
        foreach ($job->set->collectors as $one) {
            $inlets = [];
            foreach ($one->runs as $letter) {
                $run = $job->run($letter);
                if ($run !== null) {
                    $inlets[] = self::inlet($letter, $run->end);
                    $placed[] = $letter;
                }
            }
            if ($inlets !== []) {
                $runners = $one->mode === AssignmentMode::Cyclic ? $one->firing : $one->runs;
                $collectors[] = new InletRing(
                    $one->name,
                    $inlets,
                    $one->mode,
                    $runners,
                    array_keys($one->runs),
                    ...$near,
                );
            }
        }
        foreach ($job->runs as $run) {
            if (! in_array($run->letter, $placed, true)) {
                $collectors[] = new InletRing(
                    "end of $run->letter",
                    [self::inlet($run->letter, $run->end)],
                    AssignmentMode::Fixed,
                    [$run->letter],
                    [0],
                );
            }
        }

        return $collectors;
    }

    private static function inlet(string $letter, RunEnd $end): Inlet
    {
        return new Inlet($letter, $end->frame()->at, $end->direction->unit());
    }
}
