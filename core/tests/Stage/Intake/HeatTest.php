<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Option;
use UpsweptBead\Core\Tests\Support\SomeIntake;

/**
 * @param  array<string, mixed>  $answers
 * @param  array<string, mixed>  $more
 */
function hottestC(string $purpose, array $answers = [], array $more = []): float
{
    $figure = SomeIntake::start($purpose, $answers, $more)->figures['temperature'];

    return $figure instanceof Figure ? $figure->value : throw new LogicException('no number');
}

it('counts on what the trade claims for a turbo manifold', function () {
    // Claimed, unmeasured: 370–480 °C at idle, 815–980 °C on a hard pull (common practice).
    expect(hottestC('turbo-manifold', ['load' => 'easy']))->toBeGreaterThanOrEqual(370.0)->toBeLessThanOrEqual(480.0)
        ->and(hottestC('turbo-manifold', ['load' => 'pulls']))->toBeGreaterThanOrEqual(815.0)->toBeLessThanOrEqual(980.0)
        ->and(hottestC('turbo-manifold', ['load' => 'long']))->toBeGreaterThan(hottestC('turbo-manifold', ['load' => 'pulls']));
});

it('counts on less the further from the engine', function () {
    expect(hottestC('turbo-downpipe'))->toBeLessThan(hottestC('turbo-manifold'))
        ->and(hottestC('system'))->toBeLessThan(hottestC('turbo-downpipe'));
});

it('never makes the metal hotter than the gas that was read', function () {
    expect(hottestC('turbo-manifold', ['load' => 'long', 'gas' => '700 °C']))->toBe(700.0);
});

it('takes what somebody measured before anything', function () {
    $engine = ['cylinderCc' => 500, 'exhaustOpens' => 70, 'peakRpm' => 6000, 'port' => '3 in', 'metalC' => 655];
    expect(hottestC('header', ['load' => 'long'], ['engine' => $engine]))->toBe(655.0)
        ->and(hottestC('header', [], SomeIntake::overruled('intake.temperature', '1300 F')))->toBeClose(704.4, 0, 0.05);
});

it('asks for the metal that stands it', function (string $purpose, array $answers, string $metal) {
    expect(SomeIntake::start($purpose, $answers)->metal)->toBe($metal);
})->with([
    'a stabilised grade above 815 °C' => ['turbo-manifold', ['load' => 'long'], '321'],
    '304L on a header' => ['header', ['load' => 'long'], '304L'],
    '316L in salt behind the turbine' => ['turbo-downpipe', ['load' => 'easy', 'wet' => 'salt'], '316L'],
    'no 316L where it gets hot, salt or not' => ['turbo-downpipe', ['load' => 'long', 'wet' => 'salt'], '321'],
    '304L on a header, salt or not' => ['header', ['wet' => 'salt'], '304L'],
]);

it('refuses 316L and 409 where it gets hot, and says why', function () {
    $metal = SomeIntake::start('turbo-manifold', ['load' => 'long'])->figures['metal'];
    $refused = $metal instanceof Choice
        ? array_filter($metal->options, static fn (Option $one): bool => $one->refused !== '')
        : [];
    expect(array_column($refused, 'value'))->toBe(['316L', '409']);
});
