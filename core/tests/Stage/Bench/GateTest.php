<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Screens\FigureWriter;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\Gate;
use UpsweptBead\Core\Stage\Bench\Measure;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * @param  list<Measure>  $measures
 * @param  list<string>  $points
 */
function gated(array $measures, array $points = []): BenchStep
{
    return new BenchStep(StepKind::Purge, 'AJ1', 'Purge for AJ1', [], null, $measures, $points);
}

// The tablet judges readings by the same cases where it has no network: tests/Unit/gate.test.ts.
it('lets a reading pass or asks about it, as the tablet does', function (array $case) {
    $units = UnitSystem::from($case['units']);
    $quantity = Quantity::from($case['quantity']);
    $measure = new Measure('one', 'One', $quantity, null, $quantity->parse($case['most'], $units), $case['asked']);
    $values = $case['typed'] === '' ? [] : ['one' => $quantity->parse($case['typed'], $units)];
    $limit = (new FigureWriter($units))->limit($quantity, (float) $measure->most);
    expect($limit['number'])->toBeClose($case['limit']['number'], 0, 1e-9)->and($limit['unit'])->toBe($case['limit']['unit']);
    $lacks = Gate::lacks(gated([$measure]), $values, [], $units);
    expect(count($lacks))->toBe($case['lacks'] === null ? 0 : 1);
    match ($case['lacks']) {
        'above' => expect($lacks)->toBe(Gate::above(gated([$measure]), $values, $units)),
        'unread' => expect($lacks)->toBe(['One was not read.']),
        default => expect($lacks)->toBe([]),
    };
})->with(function () {
    /** @var list<array<string, mixed>> $cases */
    $cases = json_decode((string) file_get_contents(__DIR__.'/gate-cases.json'), true, flags: JSON_THROW_ON_ERROR);

    return array_combine(array_column($cases, 'name'), array_map(static fn (array $one): array => [$one], $cases));
});

// And these: a piece that is cut too short is asked about on either side.
it('asks about a length that is farther off than it may be, as the tablet does', function (array $case) {
    $units = UnitSystem::from($case['units']);
    $mm = static fn (string $text): float => Quantity::Length->parse($text, $units);
    $measure = new Measure('length', 'Length as cut', Quantity::Length, $mm($case['planned']), within: $mm($case['within']));
    $values = $case['typed'] === '' ? [] : ['length' => $mm($case['typed'])];
    $range = (new FigureWriter($units))->range($measure);
    $off = Gate::off(gated([$measure]), $values, $units);
    expect($range['least'] ?? 0.0)->toBeClose($case['range']['least'], 0, 1e-9)
        ->and($range['most'] ?? 0.0)->toBeClose($case['range']['most'], 0, 1e-9)
        ->and($range['unit'] ?? '')->toBe($case['range']['unit'])
        ->and(Gate::lacks(gated([$measure]), $values, [], $units))->toBe($off)
        ->and(Gate::isOff(gated([$measure]), $values))->toBe($case['off'] !== null)
        ->and($off)->toHaveCount($case['off'] === null ? 0 : 1)
        ->and($off[0] ?? '')->toContain($case['off'] === null ? '' : "too {$case['off']}.");
})->with(function () {
    /** @var list<array<string, mixed>> $cases */
    $cases = json_decode((string) file_get_contents(__DIR__.'/off-cases.json'), true, flags: JSON_THROW_ON_ERROR);

    return array_combine(array_column($cases, 'name'), array_map(static fn (array $one): array => [$one], $cases));
});

it('says by how much a piece is off', function () {
    $measure = new Measure('length', 'Length as cut', Quantity::Length, 21.0 * 25.4, within: 0.8);
    expect(Gate::off(gated([$measure]), ['length' => 20.5 * 25.4], UnitSystem::Inch))
        ->toBe(['Length as cut: 20 1/2 in, planned 21 in: 1/2 in too short.']);
});

it('asks for every point of a trial fit', function () {
    $step = gated([], ['Gasket in.', 'Wheel turned lock to lock.']);
    expect(Gate::lacks($step, [], [0], UnitSystem::Inch))->toBe(['Not confirmed: Wheel turned lock to lock.'])
        ->and(Gate::lacks($step, [], [0, 1], UnitSystem::Inch))->toBe([]);
});
