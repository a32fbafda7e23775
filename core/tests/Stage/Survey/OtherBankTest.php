<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Part\PartSpec;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Survey\OtherBank;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;
use UpsweptBead\Core\Tests\Support\SomeHeader;

/** @return array<string, RunSpec> */
function runsOf(Job $job): array
{
    return array_column($job->runs, null, 'letter');
}

/** A point of one bank on the other, the plane 200 mm to the left of the datum. */
function across(Vector $one): Vector
{
    return new Vector($one->x, -400.0 - $one->y, $one->z);
}

/**
 * @param  list<Vector>  $some
 * @param  list<Vector>  $others
 */
function farthestApart(array $some, array $others): float
{
    $nearest = static fn (Vector $one): float => min(array_map($one->distanceTo(...), $others));

    return count($some) === count($others) ? max(array_map($nearest, $some)) : INF;
}

it('mirrors a bank so that every tube ends just where its twin ends, on the other side', function () {
    $route = new RouteChoice(
        [
            new RouteRow(Length::ofMm(50), 35, 45, Length::ofMm(66.7)),
            new RouteRow(Length::ofMm(30), -80, 60, Length::ofMm(66.7)),
        ],
        Length::ofMm(80),
    );
    $one = SomeHeader::job(['runs' => [0 => ['end' => ['name' => '']]]]);
    $both = OtherBank::of($one->routed('A', $route), Length::ofMm(-200));
    expect($both->runs)->toHaveCount(8)->and(runsOf($both)['E']->name)->toBe('Cylinder 1, other bank');
    [$near, $far] = [runsOf($both)['A'], runsOf($both)['E']];
    // An end that nobody named stays without a name.
    expect([$near->start->name, $far->start->name])->toBe(['Port 1', 'Port 1, other bank'])
        ->and([$near->end->name, $far->end->name])->toBe(['', '']);
    $end = $near->route?->from($near->start->frame())->end()->at;
    $twin = $far->route?->from($far->start->frame())->end()->at;
    expect($twin?->x)->toBeClose($end?->x)
        ->and($twin?->z)->toBeClose($end?->z)
        ->and($twin?->y)->toBeClose(-400 - ($end->y ?? 0));
});

it('mirrors collectors and length groups along with their runs', function () {
    $both = OtherBank::of(SomeHeader::job(), Length::ofMm(-200));
    expect($both->set->collectors)->toHaveCount(2)
        ->and($both->set->collectors[1]->runs)->toBe(['E', 'F', 'G', 'H'])
        ->and($both->set->lengths[1]->runs)->toBe(['E', 'F', 'G', 'H'])
        // What stands round the engine was measured on one side only.
        ->and($both->set->keepOuts)->toEqual(SomeHeader::job()->set->keepOuts);
});

it('mirrors studs and openings with their flange', function () {
    $job = SomeHeader::job(['runs' => [0 => ['start' => [
        'up' => [0.1, 0.2, 1.0],
        'bolts' => ['count' => 3, 'circle' => '60 mm', 'turn' => 25, 'flats' => '13 mm'],
        'bore' => ['shape' => 'd', 'width' => '40 mm', 'height' => '35 mm', 'turn' => 20],
    ]]]]);
    $both = OtherBank::of($job, Length::ofMm(-200));
    [$near, $far] = [runsOf($both)['A']->start, runsOf($both)['E']->start];
    $nuts = array_map(static fn (array $one): Vector => $one[0], $near->nuts());
    expect(farthestApart(array_map(across(...), $nuts), array_map(static fn (array $one): Vector => $one[0], $far->nuts())))->toBeLessThan(1e-3)
        ->and(farthestApart(array_map(across(...), $near->bore?->outline($near->frame()) ?? []), $far->bore?->outline($far->frame()) ?? []))
        ->toBeLessThan(1e-3);
});

it('puts a sensor at the same height on the other side, and keeps what is cut and locked', function () {
    $route = new RouteChoice([new RouteRow(Length::ofMm(80), 35, 45, Length::ofMm(66.7), ['angle'])], Length::ofMm(200), true);
    $job = SomeHeader::job(['runs' => [0 => ['fittings' => [
        ['kind' => 'oxygen-sensor-bung', 'station' => '180 mm', 'fromTop' => 40],
    ]]]])->routed('A', $route);
    $both = OtherBank::of($job, Length::ofMm(-200));
    expect(runsOf($both)['E']->fittings[0]->fromTopDeg)->toBe(-40.0)
        ->and(runsOf($both)['E']->route?->rows[0]->locked)->toBe(['angle'])
        ->and(runsOf($both)['E']->route?->endLocked)->toBeTrue();
});

it('mirrors a run that begins straight up, whose turns count from the right', function () {
    $route = new RouteChoice([new RouteRow(Length::ofMm(50), 30, 60, Length::ofMm(66.7))], Length::ofMm(80));
    $job = SomeHeader::job(['runs' => [0 => ['start' => ['direction' => [0, 0, 1]]]]])->routed('A', $route);
    $both = OtherBank::of($job, Length::ofMm(-200));
    $end = static fn (string $letter): Vector => runsOf($both)[$letter]->route?->from(runsOf($both)[$letter]->start->frame())->end()->at
        ?? throw new LogicException('no route');
    expect($end('E')->distanceTo(across($end('A'))))->toBeLessThan(1e-3);
});

it('sets the runs of a made collector where their twins stand', function () {
    $both = OtherBank::of(SomeCollectors::header(), Length::ofMm(-200));
    $placed = runsOf(Planner::sketch($both, Some::shop())->layout->placement->job);
    $twins = array_combine(['A', 'B', 'C', 'D'], ['E', 'F', 'G', 'H']);
    foreach ($twins as $near => $far) {
        expect($placed[$far]->end->frame()->at->distanceTo(across($placed[$near]->end->frame()->at)))->toBeLessThan(0.01);
    }
    expect(array_unique(array_map(static fn ($one): string => $one->build->letter ?? '', $both->set->collectors)))->toHaveCount(2);
});

it('mirrors what stands on the side of a run, and what hangs and lies behind it', function () {
    $job = SomeCollectors::branched(['fromTop' => 30, 'offset' => '4 mm']);
    $both = OtherBank::of($job, Length::ofMm(-200));
    $branch = array_values(array_filter($job->runs, static fn (RunSpec $one): bool => $one->isBranch()))[0];
    $count = count($job->runs);
    $twin = $both->runs[$count + (int) array_search($branch, $job->runs, true)];
    $saddle = $branch->start->saddle ?? $branch->end->saddle;
    $other = $twin->start->saddle ?? $twin->end->saddle;
    expect($other?->on)->not->toBe($saddle?->on)
        ->and($other?->fromTopDeg)->toBe(-($saddle->fromTopDeg ?? 0.0))
        ->and($other?->offset->mm)->toBe(-($saddle->offset->mm ?? 0.0));
});

it('has a part and a hanger for either bank', function () {
    $both = OtherBank::of(SomeHeader::job(['set' => [
        'parts' => [['name' => 'Muffler', 'kind' => 'muffler', 'inlet' => 'A', 'mass' => '4 kg']],
        'hangers' => [['name' => 'Front', 'run' => 'B', 'station' => '100 mm']],
    ]]), Length::ofMm(-200));
    expect(array_map(static fn (PartSpec $one): array => [$one->name, $one->inlet], $both->set->parts))
        ->toBe([['Muffler', 'A'], ['Muffler, other bank', 'E']])
        ->and($both->set->hangers[1]->run)->toBe('F');
});
