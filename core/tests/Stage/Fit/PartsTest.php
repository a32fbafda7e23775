<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Fit\Growth\Weight;
use UpsweptBead\Core\Stage\Fit\IncomingCheck;
use UpsweptBead\Core\Stage\Fit\PartPlaces;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;

covers(PartPlaces::class, IncomingCheck::class);

/**
 * The example downpipe whose end goes into a muffler.
 *
 * @param  array<string, mixed>  $muffler
 * @param  list<array<string, mixed>>  $hangers
 */
function withMuffler(array $muffler = [], array $hangers = []): Job
{
    $document = JobWriter::toArray(Some::routedJob());
    $document['runs'][0]['end']['kind'] = 'socket';
    $document['runs'][0]['end']['name'] = 'Muffler';
    $document['set']['parts'] = [['name' => 'Muffler', 'kind' => 'muffler', 'inlet' => 'A', ...$muffler]];
    $document['set']['hangers'] = $hangers;
    $reading = JobReader::fromDecoded($document);

    return $reading->job ?? throw new LogicException($reading->faults[0]->path.' '.$reading->faults[0]->message);
}

/** @param  array<string, mixed>  $muffler */
function mufflerPlan(array $muffler = []): Plan
{
    return Planner::plan(withMuffler($muffler), Some::shop());
}

/**
 * @param  array<string, mixed>  $muffler
 * @return list<string>
 */
function saidOfMuffler(array $muffler): array
{
    return array_values(array_map(
        static fn ($one): string => $one->message,
        array_filter(mufflerPlan($muffler)->notices(), static fn ($one): bool => str_starts_with($one->path, 'set.parts')),
    ));
}

// Common practice: the depth of the seat changes the cut length.
it('cuts the tube so much longer as the seat is deep, once that was measured', function () {
    $last = static function (array $muffler): float {
        $pieces = mufflerPlan($muffler)->cut->piecesOf('A');

        return end($pieces)->allowances->slip->value ?? 0.0;
    };
    expect($last([]))->toBeClose(50.8)
        ->and($last(['seat' => '38 mm']))->toBeClose(38.0)
        ->and($last(['seat' => '60 mm']))->toBeClose(60.0);
});

// The tube of the example is 3 in, 76.2 mm outside; a slip has at most 0.8 mm of room.
it('says of a bore that it is too narrow, or wider than a slip may be', function (string $bore, string $said) {
    expect(implode(' ', saidOfMuffler(['bore' => $bore])))->toContain($said);
})->with([['75.9 mm', 'does not go into Muffler'], ['77.5 mm', 'wider than the tube']]);

it('says nothing of a bore that fits', function () {
    expect(saidOfMuffler(['bore' => '76.6 mm']))->toBe([]);
});

// Common practice: straight-through mufflers with louvres have a direction.
it('refuses a louvred part that lies against the flow, and only such a one', function () {
    $problems = static fn (array $muffler): array => array_filter(
        mufflerPlan($muffler)->notices(),
        static fn ($one): bool => str_starts_with($one->path, 'set.parts') && $one->severity->value === 'problem',
    );
    expect($problems(['oneWay' => true, 'against' => true]))->toHaveCount(1)
        ->and($problems(['oneWay' => true]))->toBe([])
        ->and($problems(['against' => true]))->toBe([]);
});

it('has a crooked neck squared, and asks for the metal of a casting', function () {
    expect(implode(' ', saidOfMuffler(['square' => 2.5])))->toContain('dress it square')
        ->and(saidOfMuffler(['square' => 0.5]))->toBe([])
        ->and(implode(' ', saidOfMuffler(['cast' => true])))->toContain('is cast')
        ->and(saidOfMuffler(['cast' => false]))->toBe([]);
});

it('looks at a part as it came before anything is cut for it', function () {
    $ids = array_column(mufflerPlan()->steps, 'id');
    $at = array_flip($ids);
    expect($at['check.part.1'])->toBeLessThan($at['prepare.A1'])
        ->and(mufflerPlan(['seat' => '40 mm'])->step('check.part.1')?->measures[1]->planned)->toBeClose(40.0);
});

it('is written and read again as it was', function () {
    $job = withMuffler(
        ['mass' => '6.2 kg', 'oneWay' => true, 'cast' => false, 'bore' => '76.6 mm', 'seat' => '1 1/2 in', 'square' => 0.4],
        [['name' => 'Rear', 'run' => 'A', 'station' => '12 in']],
    );
    expect(JobReader::fromDecoded(JobWriter::toArray($job))->job?->set)->toEqual($job->set);
});

it('names the field, the value and what would be taken', function (array $part, string $path) {
    $document = JobWriter::toArray(Some::routedJob());
    $document['set']['parts'] = [['name' => 'Muffler', 'kind' => 'muffler', 'inlet' => 'A', ...$part]];
    $paths = array_column(JobReader::fromDecoded($document)->faults, 'path');
    expect($paths)->toContain($path);
})->with([
    [['inlet' => 'Z'], 'set.parts[0].inlet'],
    [['bore' => '0 mm'], 'set.parts[0].bore'],
    [['mass' => '-2 kg'], 'set.parts[0].mass'],
    [['kind' => 'drum'], 'set.parts[0].kind'],
    [['oneWay' => 'yes'], 'set.parts[0].oneWay'],
]);

// Statics: by the lever. 10 kg a quarter of the way from one support to the other: 7.5 and 2.5 kg.
it('shares a weight out by the lever, and lets what hangs out beyond pull up', function () {
    expect(Weight::shared(['flange' => 0.0, 'hanger' => 400.0], [[100.0, 10.0]]))->toEqual(['flange' => 7.5, 'hanger' => 2.5])
        ->and(Weight::shared(['flange' => 0.0, 'hanger' => 400.0], [[600.0, 10.0]]))->toEqual(['flange' => -5.0, 'hanger' => 15.0])
        ->and(Weight::shared(['flange' => 0.0], [[100.0, 10.0]]))->toEqual(['flange' => 10.0]);
});

it('carries tube and muffler on flange and hanger together', function () {
    $plan = Planner::plan(withMuffler(['mass' => '6 kg'], [['name' => 'Rear', 'run' => 'A', 'station' => '20 in']]), Some::shop());
    [$weight] = $plan->fit->growth->weights;
    expect(array_sum($weight->carried))->toBeClose($weight->massKg, 1e-6)
        ->and($weight->massKg)->toBeClose($plan->cut->massKg('A') + 6.0, 1e-6)
        ->and($weight->carried['Rear'])->toBeGreaterThan(3.0);
});
