<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;
use UpsweptBead\Core\Stage\Survey\InletRing;
use UpsweptBead\Core\Stage\Survey\OtherBank;
use UpsweptBead\Core\Stage\Survey\RunEdits;
use UpsweptBead\Core\Tests\Support\SomeHeader;

function ring(Vector $at): InletRing
{
    return new InletRing($at, new Vector(1, 0, -0.3), 45, Length::ofMm(2), 44.45);
}

/** @return array<string, RunSpec> */
function byLetter(Job $job): array
{
    return array_column($job->runs, null, 'letter');
}

it('sets ports in a row, each from the one before, and makes the ones that are missing', function () {
    $job = SomeHeader::job();
    $row = RunEdits::inRow($job, 'A', array_map(Length::ofMm(...), [90.0, 91.0, 90.0, 100.0]), new Vector(1, 0, 0));
    expect(array_map(static fn (RunSpec $run): float => $run->start->frame()->at->x, $row->runs))
        ->toBe([0.0, 90.0, 181.0, 271.0, 371.0])
        ->and($row->runs[4]->letter)->toBe('E')
        ->and($row->runs[4]->tubeId)->toBe($row->runs[0]->tubeId)
        // Ends of runs that are there stay where they were measured.
        ->and($row->runs[2]->end)->toEqual($job->runs[2]->end);
});

it('drops the route of a port that moved and keeps that of one that did not', function () {
    $route = new RouteChoice([new RouteRow(Length::ofMm(50), 0, 45, Length::ofMm(66.7))], Length::ofMm(80));
    $job = SomeHeader::job()->routed('B', $route)->routed('C', $route);
    $at = byLetter($job)['B']->start->frame()->at->x;
    $row = RunEdits::inRow($job, 'A', [Length::ofMm($at), Length::ofMm(10)], new Vector(1, 0, 0));
    expect(byLetter($row)['B']->route)->toBe($route)->and(byLetter($row)['C']->route)->toBeNull();
});

it('refuses more runs than a job has room for', function () {
    expect(fn () => RunEdits::inRow(SomeHeader::job(), 'A', array_fill(0, 16, Length::ofMm(90)), new Vector(1, 0, 0)))
        ->toThrow(DomainException::class, '17 runs; a job has at most 16')
        ->and(
            fn () => OtherBank::of(
                OtherBank::of(OtherBank::of(SomeHeader::job(), Length::ofMm(0)), Length::ofMm(0)),
                Length::ofMm(0),
            ),
        )
        ->toThrow(DomainException::class, '32 runs');
});

it('puts every other cylinder of the firing order into one scroll', function (string $firing, array $first) {
    $job = SomeHeader::job();
    $paired = RunEdits::pairedScrolls($job, $job->set->collectors[0]->name, $firing);
    expect($paired->set->collectors)->toHaveCount(2)
        ->and($paired->set->collectors[0]->runs)->toEqualCanonicalizing($first);
})->with([
    // 1-3-4-2: 1 and 4 share a scroll, 2 and 3 the other: common practice.
    '1-3-4-2' => ['A C D B', ['A', 'D']],
    '1-2-4-3' => ['A-B-D-C', ['A', 'D']],
]);

it('says what a firing order must be', function () {
    $job = SomeHeader::job();
    $name = $job->set->collectors[0]->name;
    expect(fn () => RunEdits::pairedScrolls($job, $name, 'A C D'))->toThrow(DomainException::class, 'each run of')
        ->and(fn () => RunEdits::pairedScrolls($job, 'no such', 'A C D B'))
        ->toThrow(DomainException::class, 'no collector "no such"');
});

it('sets inlets side by side in a ring about the collector’s axis, as close as the gap allows', function (int $count) {
    $job = SomeHeader::job();
    $letters = array_slice(['A', 'B', 'C', 'D'], 0, $count);
    $set = RunEdits::collected(
        $job,
        new CollectorSpec('Merge', $letters, AssignmentMode::Any, []),
        ring(new Vector(500, 100, -300)),
    );
    $ends = array_map(
        static fn (string $letter): Vector => $set->run($letter)?->end->frame()->at ?? new Vector(0, 0, 0),
        $letters,
    );
    for ($i = 0; $i < $count; $i++) {
        // Neighbours: a tube and a gap apart; all square to the axis.
        expect($ends[$i]->distanceTo($ends[($i + 1) % $count]))->toBeClose(46.45, 0, 0.01)
            ->and($ends[$i]->minus(new Vector(500, 100, -300))->dot((new Vector(1, 0, -0.3))->unit()))
            ->toBeClose(0.0, 0, 0.01);
    }
    expect($set->set->collectors)->toHaveCount(1)
        ->and($set->set->collectors[0]->runs)->toBe($letters)
        ->and($set->run('A')?->route)->toBeNull();
})->with([2, 3, 4]);

it('wants two runs of the job to meet', function (array $letters) {
    expect(
        fn () => RunEdits::collected(
            SomeHeader::job(),
            new CollectorSpec('Merge', $letters, AssignmentMode::Any, []),
            ring(new Vector(0, 0, 0)),
        ),
    )->toThrow(DomainException::class, 'Two runs');
})->with([[['A']], [['A', 'A']], [['A', 'Q']]]);

it('keeps the firing order of a collector that is moved', function () {
    $job = SomeHeader::job();
    $firing = $job->set->collectors[0]->firing;
    $moved = RunEdits::collected(
        $job,
        new CollectorSpec('Collector', ['A', 'B', 'C', 'D'], AssignmentMode::Cyclic, []),
        ring(new Vector(560, 170, -300)),
    );
    expect($firing)->not->toBe(['A', 'B', 'C', 'D'])
        ->and($moved->set->collectors[0]->firing)->toBe($firing);
});

it('keeps the routes of runs whose ends stay as they are, and drops those of ends that move or turn', function () {
    $level = new InletRing(new Vector(500, 100, -300), new Vector(1, 0, 0), 90, Length::ofMm(2), 44.45);
    // Two inlets level beside each other: tipped about the line between them they stay where they are.
    $tipped = new InletRing(new Vector(500, 100, -300), new Vector(1, 0, -0.2), 90, Length::ofMm(2), 44.45);
    $moved = new InletRing(new Vector(510, 100, -300), new Vector(1, 0, 0), 90, Length::ofMm(2), 44.45);
    $collector = new CollectorSpec('Merge', ['A', 'B'], AssignmentMode::Fixed, []);
    $routed = RunEdits::collected(SomeHeader::job(), $collector, $level)->routed(
        'A',
        new RouteChoice([new RouteRow(Length::ofMm(50), 35, 45, Length::ofMm(66.7))], Length::ofMm(80)),
    );
    $kept = static fn (InletRing $ring): bool => RunEdits::collected($routed, $collector, $ring)->run('A')?->route !== null;
    expect($kept($level))->toBeTrue()->and($kept($tipped))->toBeFalse()->and($kept($moved))->toBeFalse();
    $there = RunEdits::collected($routed, $collector, $tipped)->run('A')?->end->frame()->at;
    expect($there?->distanceTo($routed->run('A')?->end->frame()->at ?? new Vector(0, 0, 0)))->toBeLessThan(0.01);
});
