<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\Changes;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

/** @param  callable(array<string, mixed>): array<string, mixed>|null  $change */
function eightChanged(?callable $change = null): Job
{
    $document = SomeRoutedSets::veeEight();
    $reading = JobReader::fromDecoded($change === null ? $document : $change($document));

    return $reading->job ?? throw new LogicException($reading->faults[0]->message);
}

it('finds nothing where nothing was changed', function () {
    expect(Changes::between(eightChanged(), eightChanged()))->toBe([]);
});

it('names the metal, the part of a run that changed, and how many figures are overruled', function () {
    $now = eightChanged(function (array $document): array {
        $document['job']['metal'] = '321';
        $document['job']['note'] = 'In a hurry';
        $document['runs'][0]['route']['endStraight'] = '12 in';
        $document['runs'][1]['end']['name'] = 'Another';
        $document['set']['keepOuts'] = [];
        $document['overrides'] = [['figure' => 'purge.AJ3.flow', 'value' => '20 CFH', 'why' => 'leaky']];

        return $document;
    });
    expect(Changes::between(eightChanged(), $now))->toBe([
        'Metal: 304L, now 321.', 'Note.', 'Run A: way.', 'Run B: where it ends.', 'Keep-outs.', 'Figures overruled: 1 new.',
    ]);
});

it('says which runs are new and which are gone', function () {
    $fewer = eightChanged(function (array $document): array {
        array_pop($document['runs']);
        $document['set']['collectors'][1]['runs'] = ['E', 'F', 'G'];
        unset($document['set']['collectors'][1]['firing'], $document['set']['collectors'][1]['assignment']);
        $document['set']['lengths'] = [];

        return $document;
    });
    expect(Changes::between(eightChanged(), $fewer))->toContain('Run H is no longer planned.', 'Collectors.')
        ->and(Changes::between($fewer, eightChanged()))->toContain('Run H is new.');
});

it('names answers at the intake, readings and limits of outlets that changed', function () {
    $now = eightChanged(function (array $document): array {
        $document['intake'] = ['room' => 'little'];
        $document['measured'] = ['points' => [], 'ends' => [], 'readings' => [
            ['id' => 'r1', 'kind' => 'tape', 'tool' => 'tape', 'of' => 'A.start', 'with' => ['A.end'], 'value' => '20 in'],
        ]];
        $document['set']['outlets'] = [['name' => 'Behind the axle', 'axis' => 'rearward', 'least' => '40 in', 'most' => null]];

        return $document;
    });
    expect(Changes::between(eightChanged(), $now))->toBe([
        'What was asked when it came in.', 'Readings at the vehicle.', 'What is asked of outlets.',
    ]);
});
