<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Stage\Intake\StartingPoint;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;
use UpsweptBead\Core\Tests\Support\SomeIntake;

it('proposes heavy wall for a manifold and 16 gauge for what hangs under a vehicle', function () {
    expect(SomeIntake::start('turbo-manifold')->tube?->wallMm)->toBeGreaterThan(2.7)
        ->and(SomeIntake::start('system')->tube?->wallMm)->toBeClose(1.651, 0, 1e-9)
        ->and(SomeIntake::start('turbo-downpipe')->tube?->odMm)->toBeClose(76.2, 0, 1e-9);
});

it('takes the bore of the sums for a header', function () {
    // Bell: opening 70°, 6000 a minute, 500 cm³ give 1.58 in; 1 3/4 × .065 has 1.62.
    $engine = ['cylinderCc' => 500, 'exhaustOpens' => 70, 'peakRpm' => 6000, 'port' => '3 in'];
    $start = SomeIntake::start('header', [], ['engine' => $engine]);
    expect($start->tube?->id)->toBe('T1.750x.065')
        ->and($start->lengthMm / 25.4)->toBeClose(32.4, 0, 0.05);
});

it('matches the port where one was measured', function () {
    $end = ['kind' => 'flange', 'name' => 'Port', 'at' => ['0', '0', '0'], 'direction' => [0, 1, 0], 'metal' => '304L', 'wall' => '3/8 in'];
    $start = SomeIntake::start('header', [], ['runs' => [[
        'letter' => 'A', 'name' => '', 'tube' => 'T1.750x.065', 'route' => null, 'fittings' => [],
        'start' => [...$end, 'bore' => ['shape' => 'round', 'width' => '1 1/2 in', 'turn' => 0]],
        'end' => [...$end, 'at' => ['10', '10', '0']],
    ]]]);
    // 1 5/8 × .065 has 1.495 in inside.
    expect($start->tube?->id)->toBe('T1.625x.065');
});

it('takes what lies on the shelf where two bores serve alike', function () {
    $job = SomeIntake::job('system', [], ['job' => ['number' => 'T', 'title' => 'T', 'purpose' => 'system', 'units' => 'metric', 'metal' => '304L']]);
    $shop = Some::shop()->withShelf(['M63.5x1.5' => 4], []);
    expect(StartingPoint::of($job, Some::shop())->tube?->id)->toBe('T2.500x.065')
        ->and(StartingPoint::of($job, $shop)->tube?->id)->toBe('M63.5x1.5');
});

it('counts on more bends the less room there is', function () {
    $bends = static fn (string $room): int => SomeIntake::start('header', ['room' => $room])->bends;
    expect($bends('plenty'))->toBeLessThan($bends('some'))->and($bends('some'))->toBeLessThan($bends('little'));
});

it('lets equal lengths go before a single scroll, and asks for them without a turbo', function () {
    expect(SomeIntake::start('header')->figures['equal']->value)->toBe('all runs alike')
        ->and(SomeIntake::start('turbo-manifold')->figures['equal']->value)->toBe('as they come')
        ->and(SomeIntake::start('turbo-downpipe')->figures)->not->toHaveKey('equal');
});

it('pairs cylinders whose pulses are a turn of the crank apart', function (array $answers, array $scrolls) {
    // Firing 1-3-4-2: 1 with 4, 2 with 3 (common practice); a six fires 1-5-3-6-2-4: 1-2-3 and 4-5-6.
    expect(SomeIntake::start('turbo-manifold', ['scrolls' => 'two', ...$answers])->scrolls())->toBe($scrolls);
})->with([
    'the usual four' => [[], [[1, 4], [2, 3]]],
    'a six' => [['cylinders' => 6], [[1, 2, 3], [4, 5, 6]]],
    'a four that fires otherwise' => [['cylinders' => 4, 'firing' => '1-2-4-3'], [[1, 4], [2, 3]]],
    'a five, which does not pair' => [['cylinders' => 5], []],
    'an eight nobody told the order of' => [['cylinders' => 8], []],
]);

it('makes the collector of a header, buys that of a manifold, and takes the one that is brought', function () {
    expect(SomeIntake::start('header')->figures['collector']->value)->toBe('make it')
        ->and(SomeIntake::start('turbo-manifold')->figures['collector']->value)->toBe('buy it')
        ->and(SomeIntake::start('header', ['brought' => [['what' => 'collector']]])->figures['collector']->value)
        ->toBe('the customer brings it');
});

it('goes by what somebody put in place of a proposal', function () {
    expect(SomeIntake::start('header', [], SomeIntake::overruled('intake.tube', '1 7/8 in × .065'))->tube?->id)->toBe('T1.875x.065')
        ->and(SomeIntake::start('header', [], SomeIntake::overruled('intake.bends', '6'))->bends)->toBe(6)
        ->and(SomeIntake::start('header', [], SomeIntake::overruled('intake.bends', '5000'))->bends)->toBe(StartingPoint::MOST_BENDS)
        ->and(SomeIntake::start('header', [], SomeIntake::overruled('intake.metal', 'unobtainium'))->metal)->toBe('304L');
});

it('pairs the scrolls as somebody said, and keeps to the order where that cannot be read', function () {
    $paired = static fn (string $said): StartingPoint => SomeIntake::start(
        'turbo-manifold', ['scrolls' => 'two'], SomeIntake::overruled('intake.pairing', $said),
    );
    expect($paired('1 + 2 and 3 + 4')->scrolls())->toBe([[1, 2], [3, 4]])
        ->and($paired('1 + 2 and 3')->scrolls())->toBe([[1, 4], [2, 3]])
        ->and($paired('1 + 2 and 3')->isPairingUnread())->toBeTrue()
        ->and($paired('whatever')->scrolls())->toBe([[1, 4], [2, 3]]);
});

it('counts with no run of a mile, and none of nothing', function (string $said, float $mm) {
    expect(SomeIntake::start('header', [], SomeIntake::overruled('intake.length', $said))->lengthMm)->toBe($mm);
})->with([['60 ft', 12_000.0], ['-4 in', 50.0], ['30 in', 762.0]]);

it('counts the runs that a job has where nobody said how many cylinders', function () {
    $five = SomeHeader::document();
    $five['runs'][] = [...$five['runs'][3], 'letter' => 'E'];
    $start = static fn (array $document): StartingPoint => StartingPoint::of(
        JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), Some::shop(),
    );
    expect($start($five)->cylinders)->toBe(5)
        ->and($start([...$five, 'intake' => ['cylinders' => 3]])->cylinders)->toBe(3)
        ->and(SomeIntake::start('header')->cylinders)->toBe(4);
});
