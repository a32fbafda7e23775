<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\Screens\FigureWriter;
use UpsweptBead\Core\Exchange\Screens\FitWriter;
use UpsweptBead\Core\Exchange\Screens\MergeWriter;
use UpsweptBead\Core\Exchange\Screens\PartsWriter;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Exchange\Screens\RouteWriter;
use UpsweptBead\Core\Exchange\Screens\RunWriter;
use UpsweptBead\Core\Exchange\Screens\SetPlanWriter;
use UpsweptBead\Core\Exchange\Screens\ShapedEndWriter;
use UpsweptBead\Core\Exchange\Screens\StageWriter;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Schemas;
use UpsweptBead\Core\Tests\Support\Some;

covers(
    MergeWriter::class,
    StageWriter::class,
    FitWriter::class,
    RunWriter::class,
    PartsWriter::class,
    ShapedEndWriter::class,
);

/** @return array<string, UpsweptBead\Core\Job\Job> every shipped job, by its file */
function shippedJobs(): array
{
    $jobs = [];
    foreach ((array) glob(dirname(__DIR__, 4).'/database/demo/*.job.json') as $file) {
        $file = (string) $file;
        $jobs[basename($file)] = JobReader::fromJson((string) file_get_contents($file))->job;
    }

    return $jobs;
}

it('writes the plan of every shipped job as its schema says', function () {
    $jobs = shippedJobs();
    expect(count($jobs))->toBeGreaterThan(3);
    foreach ($jobs as $job) {
        $plan = Planner::plan($job, Some::shop());
        expect(PlanWriter::toArray($plan))->toBeAn('WholePlan')
            ->and(PlanWriter::forScreens($plan))->toBeAn('Plan')
            ->and(PlanWriter::following($plan))->toBeAn('PlanFollowing')
            ->and(PlanWriter::sketch(Planner::sketch($job, Some::shop())))->toBeAn('PlanSketch')
            ->and(JobWriter::toArray($job))->toBeAn('JobDocument');
    }
});

it('writes ways, and what keeps a run from having one, as their schema says', function () {
    $writer = new RouteWriter(new FigureWriter(Some::job()->units));
    $ways = Planner::route(Some::job(), 'A', Some::shop());
    expect($ways->answers)->not->toBe([])->and($writer->answers($ways))->toBeAn('Ways');
});

it('writes the order in which runs go in as its schema says', function () {
    $job = shippedJobs()['rally-coupe-manifold.job.json'];
    $insertion = Planner::planInFull($job, Some::shop())->fit->insertion;
    expect($insertion)->not->toBeNull()->and(SetPlanWriter::insertion($insertion))->toBeAn('Insertion');
});

it('refuses an answer that says less, or something else', function () {
    $plan = PlanWriter::forScreens(Planner::plan(Some::routedJob(), Some::shop()));
    $less = $plan;
    unset($less['cut']['mass']);
    $else = $plan;
    $else['runs'][0]['farEnd']['closed'] = 'yes';
    $more = [...$plan, 'colour' => 'blue'];
    foreach ([$less, $else, $more] as $one) {
        expect(Schemas::wrong($one, 'Plan'))->not->toBe('');
    }
});
