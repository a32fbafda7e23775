<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\Intake\IntakeSpec;
use UpsweptBead\Core\Job\Intake\Scrolls;
use UpsweptBead\Core\Job\Purpose;
use UpsweptBead\Core\Stage\Intake\AtTheVehicle;
use UpsweptBead\Core\Stage\Intake\Question;
use UpsweptBead\Core\Stage\Intake\Questions;
use UpsweptBead\Core\Tests\Support\SomeIntake;

/** @return list<string> */
function askedOf(Purpose $purpose, IntakeSpec $intake = new IntakeSpec): array
{
    return array_map(static fn (Question $one): string => $one->key, Questions::for(SomeIntake::job($purpose->value), $intake));
}

it('does not ask what a job does not need', function () {
    expect(askedOf(Purpose::Collector))->toBe(['cylinders', 'load', 'gas', 'budget'])
        ->and(askedOf(Purpose::TurboDownpipe))->not->toContain('cylinders')
        ->and(askedOf(Purpose::Header))->not->toContain('scrolls')
        ->and(askedOf(Purpose::Header))->not->toContain('sound');
});

it('asks how it fires once that decides something', function () {
    expect(askedOf(Purpose::TurboManifold))->not->toContain('firing')
        ->and(askedOf(Purpose::TurboManifold, new IntakeSpec(scrolls: Scrolls::Two)))->toContain('firing');
});

/**
 * @param  array<string, mixed>  $answers
 * @return list<string>
 */
function measuredFor(string $purpose, array $answers = []): array
{
    return array_column(AtTheVehicle::of(SomeIntake::start($purpose, $answers))->measure, 'what');
}

it('sends nobody to a vehicle for a collector alone', function () {
    expect(array_intersect(['The datum', 'The wheel'], measuredFor('collector')))->toBe([])
        ->and(measuredFor('header'))->toContain('The datum')->toContain('The wheel')->toContain('Ports, all 4');
});

it('has room measured for what is built in, and what is brought tried', function () {
    expect(measuredFor('turbo-downpipe'))->not->toContain('Room for a muffler')
        ->and(measuredFor('turbo-downpipe', ['sound' => 'quiet', 'catalyst' => true]))
        ->toContain('Room for a muffler')->toContain('Room for the catalyst')
        ->and(measuredFor('turbo-manifold', ['brought' => [['what' => 'turbo']]]))->toContain('Turbo, as brought');
});
