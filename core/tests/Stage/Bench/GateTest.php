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

it('asks for every point of a trial fit', function () {
    $step = gated([], ['Gasket in.', 'Wheel turned lock to lock.']);
    expect(Gate::lacks($step, [], [0], UnitSystem::Inch))->toBe(['Not confirmed: Wheel turned lock to lock.'])
        ->and(Gate::lacks($step, [], [0, 1], UnitSystem::Inch))->toBe([]);
});
