<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Fit\ServiceCheck;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;

/**
 * A straight tube along x between two V-bands, with boxes beside it.
 *
 * @param  list<array<string, mixed>>  $keepOuts
 */
function clamped(array $keepOuts, string $end = 'v-band'): Job
{
    $document = JobWriter::toArray(Some::job());
    $document['job']['units'] = 'metric';
    $at = static fn (float $x, string $kind, string $name): array => [
        'kind' => $kind, 'name' => $name, 'at' => [$x, 0, 0], 'direction' => [1, 0, 0], 'metal' => '304L', 'wall' => '2 mm',
    ];
    $document['runs'] = [[
        'letter' => 'A', 'name' => 'Tube', 'tube' => 'T2.000x.065',
        'start' => $at(0, 'v-band', 'Front'), 'end' => $at(400, $end, 'Rear'),
        'route' => ['bends' => [], 'endStraight' => '400 mm'],
    ]];
    $document['set']['keepOuts'] = $keepOuts;
    $reading = JobReader::fromDecoded($document);

    return $reading->job ?? throw new LogicException($reading->faults[0]->path.' '.$reading->faults[0]->message);
}

/**
 * @param  array{float, float, float}  $at  its middle
 * @param  array{float, float, float}  $size
 * @return array<string, mixed>
 */
function boxAt(string $name, array $at, array $size): array
{
    return ['name' => $name, 'kind' => 'frame', 'shape' => 'box', 'at' => $at, 'size' => $size];
}

function checked(Job $job): ServiceCheck
{
    return Planner::planInFull($job, Some::shop())->fit->service[0] ?? throw new LogicException('nothing to check');
}

// Common practice: what may have to come out gets a clamp joint; it is checked that it can be taken out with the rest
// in place.
it('lets a tube between two clamps out where nothing is in its way', function () {
    expect(checked(clamped([]))->comesOut)->toBeTrue()->and(checked(clamped([]))->clamps)->toBe('Front, Rear');
});

it('keeps in what stands in a cage, and names what is most in its way', function () {
    $sides = [
        boxAt('Left', [200, 80, 0], [700, 60, 400]), boxAt('Right', [200, -80, 0], [700, 60, 400]),
        boxAt('Above', [200, 0, 80], [700, 300, 60]), boxAt('Below', [200, 0, -80], [700, 300, 60]),
        boxAt('Bulkhead', [-90, 0, 0], [60, 300, 300]), boxAt('Gearbox', [490, 0, 0], [60, 300, 300]),
    ];
    $check = checked(clamped($sides));
    expect($check->comesOut)->toBeFalse()->and($check->by)->not->toBe([])
        // With one side open it comes out that way.
        ->and(checked(clamped(array_slice($sides, 1)))->comesOut)->toBeTrue();
});

it('does not know before it was worked out', function () {
    expect(Planner::plan(clamped([]), Shop::bare())->fit->service[0]->comesOut)->toBeNull();
});

it('does not let out what is welded at its other end', function () {
    $check = checked(clamped([], 'socket'));
    expect($check->comesOut)->toBeFalse()->and($check->by)->toBe(['welded to Rear']);
});

it('checks only runs that have a clamp joint', function () {
    $document = JobWriter::toArray(clamped([]));
    foreach (['start', 'end'] as $side) {
        $document['runs'][0][$side]['kind'] = 'flange';
    }
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');
    expect(Planner::plan($job, Some::shop())->fit->service)->toBe([]);
});
