<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Quote\Comparison;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Job\Set\DesignRun;
use UpsweptBead\Core\Job\Set\Designs;
use UpsweptBead\Core\Job\Set\DesignSpec;
use UpsweptBead\Core\Job\Set\SetSpec;
use UpsweptBead\Core\Solve\Route\Looks\Style;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Survey\OtherBank;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;

/** A design that sends every run to the inlet of the next. */
function rotatedDesign(Job $job, float $angleDeg = 45): DesignSpec
{
    $runs = [];
    foreach ($job->runs as $i => $run) {
        $end = $job->runs[($i + 1) % count($job->runs)]->end;
        $runs[] = new DesignRun(
            $run->letter,
            $end->at,
            $end->direction,
            new RouteChoice([new RouteRow(Length::ofMm(60), 0, $angleDeg, Length::ofMm(50.8))], Length::ofMm(200)),
        );
    }

    return new DesignSpec('Turned on', '', $runs);
}

it('gives every run its route and its end, and keeps the inlets in their order round the collector', function () {
    $job = SomeHeader::job();
    $taken = Designs::taken($job, rotatedDesign($job));
    $inlets = static fn (Job $of): array => array_map(
        static fn (string $letter): array => $of->run($letter)?->end->frame()->at->toArray() ?? [],
        $of->set->collectors[0]->runs,
    );
    expect($taken->run('A')?->end)->toEqual($job->run('B')?->end)
        ->and($taken->run('A')?->route)->not->toBeNull()
        ->and($inlets($taken))->toEqual($inlets($job))
        ->and($taken->set->collectors[0]->runs)->not->toBe($job->set->collectors[0]->runs);
});

it('comes back to what it was by taking the design that was there', function () {
    $job = Designs::taken(SomeHeader::job(), rotatedDesign(SomeHeader::job()));
    $before = Designs::current($job, 'before') ?? throw new LogicException('no design');
    $again = Designs::taken(Designs::taken($job, rotatedDesign($job, 30)), $before);
    expect(JobWriter::toArray($again))->toEqual(JobWriter::toArray($job));
});

it('keeps designs in the job file, as they were', function () {
    $job = SomeHeader::job();
    $with = $job->with(
        $job->runs,
        new SetSpec($job->set->collectors, $job->set->keepOuts, $job->set->lengths, [rotatedDesign($job)]),
    );
    $read = JobReader::fromJson(JobWriter::toJson($with));
    expect($read->faults)->toBe([])->and(JobWriter::toArray($read->job ?? $job))->toEqual(JobWriter::toArray($with));
});

it('compares by what a design takes: joints, stock, time and money', function () {
    $job = SomeHeader::job();
    $few = Comparison::of($job, Some::shop(), rotatedDesign($job));
    $more = new DesignSpec(
        'More',
        '',
        array_map(
            static fn (DesignRun $run): DesignRun => new DesignRun(
                $run->letter,
                $run->at,
                $run->direction,
                new RouteChoice(
                    [
                        new RouteRow(Length::ofMm(60), 0, 45, Length::ofMm(50.8)),
                        new RouteRow(Length::ofMm(60), 90, 44, Length::ofMm(50.8)),
                    ],
                    Length::ofMm(200),
                ),
            ),
            rotatedDesign($job)->runs,
        ),
    );
    $more = Comparison::of($job, Some::shop(), $more);
    expect($few->bends())->toBe(4)
        ->and($more->bends())->toBe(8)
        ->and(count($more->plan->joints->joints))->toBeGreaterThan(count($few->plan->joints->joints))
        ->and($few->oddAngles())->toBe(0)
        ->and($more->oddAngles())->toBe(4)
        ->and($more->quote->cost())->toBeGreaterThan($few->quote->cost())
        ->and($more->quote->minutes())->toBeGreaterThan($few->quote->minutes())
        // Neither meets its inlets.
        ->and($few->openEnds())->toBe(4);
});

it('finds a run flat that lies in one plane, however that is tilted', function () {
    $dice = Some::dice(3);
    $start = Some::frame($dice);
    $flat = new TubeRun($start, [new Bend(80, 33, 60, 66), new Bend(50, 180, 45, 66), new Bend(40, 0, 20, 66)], 90);
    $raised = new TubeRun($start, [new Bend(80, 33, 60, 66), new Bend(50, 150, 45, 66), new Bend(40, 0, 20, 66)], 90);
    $style = Style::of(['A' => $flat, 'B' => $raised], ['A' => 42.0, 'B' => 42.0]);
    expect($style->flatnessMm['A'])->toBeLessThan(1e-6)->and($style->flatnessMm['B'])->toBeGreaterThan(5);
});

it('finds no error between a bank and its mirror image, and the distance where one is off', function () {
    $run = static fn (RouteChoice $route, RunSpec $spec): TubeRun => $route->from($spec->start->frame());
    $route = new RouteChoice(
        [
            new RouteRow(Length::ofMm(50), 35, 45, Length::ofMm(66.7)),
            new RouteRow(Length::ofMm(30), -80, 60, Length::ofMm(66.7)),
        ],
        Length::ofMm(80),
    );
    $job = SomeHeader::job();
    foreach (['A', 'B', 'C', 'D'] as $letter) {
        $job = $job->routed($letter, $route);
    }
    $both = OtherBank::of($job, Length::ofMm(-200));
    $runs = [];
    foreach ($both->runs as $spec) {
        $runs[$spec->letter] = $run($spec->route ?? $route, $spec);
    }
    expect(Style::of($runs, array_fill_keys(array_keys($runs), 42.0))->mirrorMm)->toBeLessThan(1e-6);
    // One tube of the far bank ends 4 mm later.
    $runs['E'] = new TubeRun($runs['E']->start, $runs['E']->bends, $runs['E']->endStraightMm + 4);
    expect(Style::of($runs, array_fill_keys(array_keys($runs), 42.0))->mirrorMm)->toBeClose(4.0, 0, 0.5);
});

it('calls a single bank no mirror', function () {
    $start = Frame::facing(new Vector(0, 0, 0), new Vector(0, 1, 0));
    expect(Style::of(['A' => new TubeRun($start, [], 100)], [])->mirrorMm)->toBeNull();
});
