<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Shop\Practice\RootPractice;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;

/**
 * The example run in a job of some purpose, with parts at its ends and something overruled.
 *
 * @param  list<array<string, mixed>>  $parts
 * @param  list<array{string, string}>  $overrides
 */
function leading(string $purpose, array $parts = [], array $overrides = [], bool $isTwice = false): Plan
{
    $document = JobWriter::toArray(Some::routedJob());
    $runs = is_array($document['runs']) ? array_values($document['runs']) : [];
    $document['runs'] = $isTwice ? [...$runs, [...is_array($runs[0]) ? $runs[0] : [], 'letter' => 'B']] : $runs;
    $document['job'] = [...is_array($document['job']) ? $document['job'] : [], 'purpose' => $purpose];
    $document['set'] = [...is_array($document['set'] ?? null) ? $document['set'] : [], 'parts' => $parts];
    $document['overrides'] = array_map(
        static fn (array $one): array => ['figure' => $one[0], 'value' => $one[1], 'why' => 'asked'],
        $overrides,
    );
    $read = JobReader::fromDecoded($document);

    return Planner::plan($read->job ?? throw new LogicException('unreadable'), Some::shop());
}

$turbine = ['name' => 'Turbine', 'kind' => 'turbine', 'inlet' => 'A'];

// Common practice: root flux leaves glass, which a turbine swallows; 50 ppm there, 200 elsewhere.
it('lets no flux in where a turbine stands at the end of the run, whatever the job is for', function (string $purpose) use ($turbine) {
    $plan = leading($purpose, [$turbine], [['purge.school', 'flux paste']]);
    expect($plan->weld->sheets['AJ2']->root->practice)->toBe(RootPractice::Argon)
        ->and($plan->weld->sheets['AJ2']->purge->value('target'))->toBe(50.0)
        ->and($plan->problems())->not->toBe([]);
})->with(['header', 'system', 'collector', 'turbo-downpipe']);

it('asks of a collector what is asked elsewhere, and lets flux in once no turbine follows', function () {
    $unsaid = leading('collector', [], [['purge.school', 'flux paste']]);
    $none = leading('collector', [], [['purge.school', 'flux paste'], ['purge.ahead', 'no turbine']]);
    $ahead = leading('collector', [], [['purge.ahead', 'a turbine']]);
    expect($unsaid->weld->sheets['AJ2']->purge->value('target'))->toBe(200.0)
        ->and($unsaid->weld->sheets['AJ2']->root->practice)->toBe(RootPractice::Argon)
        ->and($none->weld->sheets['AJ2']->root->practice)->toBe(RootPractice::Flux)
        ->and($ahead->weld->sheets['AJ2']->purge->value('target'))->toBe(50.0);
});

it('believes nobody who says that no turbine follows where one stands', function () use ($turbine) {
    expect(leading('header', [$turbine], [['purge.ahead', 'no turbine']])->weld->sheets['AJ2']->purge->value('target'))->toBe(50.0);
});

it('takes what begins behind the turbine of a manifold as behind it', function () {
    $plan = leading('turbo-manifold', [['name' => 'Turbine', 'kind' => 'turbine', 'inlet' => 'A', 'outlet' => 'B']], [], true);
    expect($plan->weld->sheets['AJ2']->purge->value('target'))->toBe(50.0)
        ->and($plan->weld->sheets['BJ2']->purge->value('target'))->toBe(200.0);
});

it('says what an end can lead to where something else is written', function () {
    $plan = leading('header', [], [['purge.ahead', 'perhaps']]);
    expect(implode(' ', array_map(static fn ($one): string => $one->message, $plan->weld->notices)))->toContain('"perhaps"');
});
