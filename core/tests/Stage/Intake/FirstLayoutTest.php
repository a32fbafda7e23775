<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\Collector\CollectorMake;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Stage\Intake\FirstLayout;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeIntake;

/**
 * @param  array<string, mixed>  $answers
 * @param  array<string, mixed>  $more
 */
function laidOut(string $purpose, array $answers = [], array $more = []): Job
{
    return FirstLayout::of(SomeIntake::start($purpose, $answers, $more)) ?? throw new LogicException('not laid out');
}

it('lays out a run for every port, into a collector in firing order', function () {
    $job = laidOut('header', ['cylinders' => 4, 'firing' => '1-3-4-2']);
    $collector = $job->set->collectors[0];
    expect(array_map(static fn (RunSpec $one): string => $one->letter, $job->runs))->toBe(['A', 'B', 'C', 'D'])
        ->and($collector->firing)->toBe(['A', 'C', 'D', 'B'])
        ->and($collector->build?->make)->toBe(CollectorMake::Straight)
        ->and($job->set->lengths[0]->runs)->toBe(['A', 'B', 'C', 'D'])
        ->and($job->metal)->toBe('304L');
});

it('lays out two scrolls, paired', function () {
    $job = laidOut('turbo-manifold', ['cylinders' => 4, 'scrolls' => 'two', 'load' => 'long']);
    expect(array_map(static fn ($one): array => $one->runs, $job->set->collectors))->toBe([['A', 'D'], ['B', 'C']])
        ->and($job->metal)->toBe('321')
        ->and($job->set->lengths)->toBe([]);
});

it('gives what does not need one no place and no datum', function () {
    expect(laidOut('system')->runs[0]->end->isFree)->toBeTrue()
        ->and(laidOut('collector', ['cylinders' => 3])->runs)->toBe([])
        ->and(laidOut('collector', ['cylinders' => 3])->set->collectors[0]->build?->inlets)->toBe(3);
});

it('lays out nothing of a repair, or without a tube', function () {
    expect(FirstLayout::of(SomeIntake::start('repair')))->toBeNull()
        ->and(FirstLayout::of(SomeIntake::start('header', [], SomeIntake::overruled('intake.tube', 'drainpipe'))))->toBeNull();
});

it('gives a document that the reader takes, whatever was answered', function (string $purpose, array $answers) {
    $job = laidOut($purpose, $answers);
    $reading = JobReader::fromJson(JobWriter::toJson($job));
    expect($reading->faults)->toBe([])
        ->and(JobWriter::toArray($reading->job ?? throw new LogicException('not read')))->toBe(JobWriter::toArray($job));
})->with([
    'one cylinder' => ['header', ['cylinders' => 1]],
    'twelve' => ['header', ['cylinders' => 12]],
    'a twin scroll nobody can pair' => ['turbo-manifold', ['cylinders' => 5, 'scrolls' => 'two']],
    'a pair' => ['collector', ['cylinders' => 1]],
    'a downpipe' => ['turbo-downpipe', ['wet' => 'salt']],
    'a system' => ['system', []],
]);

it('counts with so many bends in every run', function () {
    $start = SomeIntake::start('header');
    foreach ([0, 1, 5] as $bends) {
        $runs = FirstLayout::counted($start, Some::shop(), $bends)->runs ?? [];
        expect(array_unique(array_map(static fn (RunSpec $one): int => count($one->route->rows ?? []), $runs)))->toBe([$bends]);
    }
});
