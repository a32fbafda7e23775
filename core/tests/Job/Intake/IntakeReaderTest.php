<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Tests\Support\SomeIntake;

it('keeps every answer as it was given', function () {
    $answers = [
        'cylinders' => 6, 'firing' => '1-5-3-6-2-4', 'scrolls' => 'two', 'ground' => 'class', 'rules' => '98 dB', 'load' => 'long',
        'gas' => '1650 °F', 'wet' => 'salt', 'room' => 'little', 'sound' => 'quiet', 'outlets' => 2, 'catalyst' => false,
        'budget' => 2500.0, 'brought' => [['what' => 'casting', 'metal' => 'cast-iron', 'used' => true], ['what' => 'turbo']],
    ];
    $job = SomeIntake::job('turbo-manifold', $answers);
    expect(JobWriter::toArray($job)['intake'])->toBe($answers)
        ->and($job->intake?->gasC)->toBeClose(898.9, 0, 0.05);
});

it('writes the heat of the gas with its unit where it came as a number', function () {
    expect(SomeIntake::job('header', ['gas' => 820])->intake?->gasEntered())->toBe('820 °C');
});

it('writes nothing of a job that was not asked', function () {
    expect(JobWriter::toArray(SomeIntake::job('header')))->not->toHaveKey('intake');
});

it('says what it would take', function (array $answers, string $path, string $message) {
    $faults = JobReader::fromDecoded(SomeIntake::document('header', $answers))->faults;
    expect(array_map(static fn (Fault $one): string => $one->path, $faults))->toContain($path)
        ->and(implode(' ', array_map(static fn (Fault $one): string => $one->message, $faults)))->toContain($message);
})->with([
    'half a cylinder' => [['cylinders' => 2.5], 'intake.cylinders', 'a whole number from 1 to 12'],
    'a firing order that leaves one out' => [['cylinders' => 4, 'firing' => '1-3-4'], 'intake.firing', 'every cylinder from 1 to 4 once'],
    'one that fires twice' => [['firing' => '1-3-3-2'], 'intake.firing', 'once, as in 1-3-4-2'],
    'a gas as hot as the sun' => [['gas' => '9000 °F'], 'intake.gas', 'must lie between'],
    'a budget below nothing' => [['budget' => -5], 'intake.budget', 'must not be negative'],
    'a sound that nobody knows' => [['sound' => 'purple'], 'intake.sound', 'quiet, plain, loud'],
    'a question that is not asked' => [['colour' => 'red'], 'intake.colour', ''],
    'a thing that nobody brings' => [['brought' => [['what' => 'cake']]], 'intake.brought[0].what', 'turbo'],
]);
