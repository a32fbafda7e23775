<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan;

use UpsweptBead\Core\Bench\BenchSteps;
use UpsweptBead\Core\Cut\Nesting;
use UpsweptBead\Core\Cut\Pieces;
use UpsweptBead\Core\Fit\BuildOrder;
use UpsweptBead\Core\Job\EndKind;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\RunSpec;
use UpsweptBead\Core\Plan\Internal\EndChecks;
use UpsweptBead\Core\Plan\Internal\RunChecks;
use UpsweptBead\Core\Plan\Internal\RunJoints;
use UpsweptBead\Core\Plan\Internal\Sheets;
use UpsweptBead\Core\Plan\Internal\SurveyChecks;
use UpsweptBead\Core\Plan\Set\NutReach;
use UpsweptBead\Core\Plan\Set\SetPlan;
use UpsweptBead\Core\Plan\Set\SetProblem;
use UpsweptBead\Core\Route\RouteAnswers;
use UpsweptBead\Core\Route\RouteRequest;
use UpsweptBead\Core\Route\TwoBendRouter;
use UpsweptBead\Core\Run\FarEnd;
use UpsweptBead\Core\Run\Jointing;
use UpsweptBead\Core\Run\PieceSpan;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Stock\TubeSize;
use UpsweptBead\Core\Survey\Tuning;
use UpsweptBead\Core\Weld\Metal;

/** Job and shop in, plan out: pure, deterministic, each stage from the ones before. */
final readonly class Planner
{
    private Metal $metal;

    /** @param  array<string, Metal>  $metals */
    private function __construct(private Job $job, private Shop $shop, private array $metals)
    {
        $this->metal = $metals[$job->metal] ?? $metals['304L'];
    }

    public static function plan(Job $job, Shop $shop): Plan
    {
        $planner = new self($job, $shop, Metal::all());
        $notices = RunChecks::metals($job, $planner->metals);
        array_push($notices, ...SurveyChecks::notices($job, $shop), ...EndChecks::notices($job, $shop));
        $runs = [];
        foreach ($job->runs as $i => $spec) {
            $runs[] = $planner->run($spec, "runs[$i]", $notices);
        }
        $set = SetPlan::of($job, $shop, $runs);
        array_push($notices, ...$set->notices($job));
        $nuts = NutReach::of($job, $runs, SetProblem::standing($job, $shop), $shop->rules);
        array_push($notices, ...array_filter(array_map(static fn (NutReach $nut): ?Notice => $nut->notice($job, $shop->rules), $nuts)));
        $sheets = array_merge(...array_map(static fn (RunPlan $run): array => $run->sheets, $runs));
        $argon = ArgonAccount::of($sheets, $shop->bottles);
        if ($sheets !== [] && $shop->bottles !== [] && ! $argon->isEnough()) {
            $notices[] = Notice::caution('argon', 'The bottles on hand cannot finish this job; change or add one before starting.');
        }

        return new Plan($job, $runs, $set, $argon, BenchSteps::of($runs, $job->units, $shop->rules), $notices, Tuning::of($job, $shop), $nuts);
    }

    /** Only the routes and what they keep clear of, for while something is dragged; nothing of cutting, welding and the bench. */
    public static function routes(Job $job, Shop $shop): Plan
    {
        $planner = new self($job, $shop, Metal::all());
        $notices = $runs = [];
        foreach ($job->runs as $i => $spec) {
            $runs[] = $planner->run($spec, "runs[$i]", $notices, true);
        }
        $set = SetPlan::of($job, $shop, $runs);
        array_push($notices, ...$set->notices($job));

        return new Plan($job, $runs, $set, ArgonAccount::of([], $shop->bottles), [], $notices, []);
    }

    /**
     * Looks for ways to route one run of a job from the bends in the catalogue.
     *
     * @throws UnknownStock if the run's tube is in no catalogue
     * @throws \OutOfBoundsException if the job has no such run
     */
    public static function route(Job $job, string $letter, Shop $shop): RouteAnswers
    {
        foreach ($job->runs as $spec) {
            if ($spec->letter === $letter) {
                $tube = $shop->catalogue->tube($spec->tubeId);

                return TwoBendRouter::solve(new RouteRequest($spec->start->frame(), $spec->end->frame(), $shop->catalogue->bendsFor($tube->id), $job->set->routing->on($shop->rules->routing())));
            }
        }
        throw new \OutOfBoundsException(sprintf('The job has no run "%s".', mb_substr($letter, 0, 20)));
    }

    /** @param  list<Notice>  $notices */
    private function run(RunSpec $spec, string $path, array &$notices, bool $routesOnly = false): RunPlan
    {
        try {
            $tube = $this->shop->catalogue->tube($spec->tubeId);
        } catch (UnknownStock $error) {
            $notices[] = Notice::problem("$path.tube", $error->getMessage());

            return RunPlan::unrouted($spec, null);
        }
        if ($spec->route === null) {
            $notices[] = Notice::problem("$path.route", "Run $spec->letter has no route yet.");

            return RunPlan::unrouted($spec, $tube);
        }
        $run = $spec->route->from($spec->start->frame());
        $farEnd = FarEnd::of($run, $spec->end->frame());
        array_push($notices, ...RunChecks::route($run, $farEnd, $this->shop, $this->job, $tube, $path));
        $spans = Jointing::of($run, $this->shop->catalogue->bendsFor($tube->id));

        return $spans === null || $run->lengthMm() < 1.0
            ? new RunPlan($spec, $tube, $run, $farEnd, [], [], [], null, [], [], [])
            : $this->cut($spec, $tube, $run, $farEnd, $spans, $path, $notices, $routesOnly);
    }

    /**
     * @param  list<PieceSpan>  $spans
     * @param  list<Notice>  $notices
     */
    private function cut(RunSpec $spec, TubeSize $tube, TubeRun $run, FarEnd $farEnd, array $spans, string $path, array &$notices, bool $routesOnly): RunPlan
    {
        $rules = $this->shop->rules;
        $pieces = Pieces::of($run, $spans, $spec->letter, $tube, $this->metal->densityKgM3, $rules, $this->job->overrides, $spec->end->kind === EndKind::VBand);
        $seams = new RunJoints($spec, $run, $tube, $this->job->metal, $this->job->units, $pieces);
        $joints = $seams->joints();
        $fittings = $seams->placed($rules, $path, $notices);
        if ($routesOnly) {
            return new RunPlan($spec, $tube, $run, $farEnd, $pieces, $joints, $fittings, null, [], [], []);
        }
        $nesting = Nesting::of($pieces, $rules);
        array_push($notices, ...RunChecks::cutting($nesting, $path));
        $sheets = (new Sheets($run, $tube, $this->metal, $this->job->purpose->isUpstreamOfTurbine(), $rules, $this->job->overrides))->of($joints);
        array_push($notices, ...RunChecks::welding($sheets, $path));

        return new RunPlan($spec, $tube, $run, $farEnd, $pieces, $joints, $fittings, $nesting, $this->stock($nesting, $tube), BuildOrder::fitting($joints), $sheets);
    }

    /** @return list<StockNeed> */
    private function stock(Nesting $nesting, TubeSize $tube): array
    {
        $needed = [];
        foreach ($nesting->donors as $donor) {
            $needed[$donor->stock->id] = ($needed[$donor->stock->id] ?? 0) + 1;
        }
        if ($nesting->bars !== []) {
            $needed[$tube->id] = count($nesting->bars);
        }

        return array_map(fn (string $id, int $count): StockNeed => new StockNeed($id, $count, $this->shop->has($id)), array_keys($needed), $needed);
    }
}
