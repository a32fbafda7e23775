<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Ledger\Ledger;
use UpsweptBead\Core\Account\Quote\Quote;
use UpsweptBead\Core\Account\Quote\RoughQuote;
use UpsweptBead\Core\Stage\Intake\FirstLayout;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeIntake;

/**
 * @param  array<string, mixed>  $answers
 * @param  array<string, mixed>  $more
 */
function roughly(string $purpose, array $answers = [], array $more = []): RoughQuote
{
    return RoughQuote::of(SomeIntake::start($purpose, $answers, $more), Some::shop())
        ?? throw new LogicException('nothing to count');
}

it('prices the likely one as any plan is priced', function () {
    $start = SomeIntake::start('turbo-downpipe');
    $plan = Planner::plan(FirstLayout::counted($start, Some::shop(), $start->bends) ?? throw new LogicException('none'), Some::shop());
    $rough = roughly('turbo-downpipe');
    expect($rough->likely->price())->toBe(Quote::of($plan, Ledger::of($plan, Some::shop()), Some::shop())->price())
        ->and($rough->joints)->toBe(count($plan->joints->joints));
});

it('spans from fewer bends to more and one made again', function (string $purpose) {
    $rough = roughly($purpose);
    expect($rough->low->price())->toBeLessThanOrEqual($rough->likely->price())
        ->and($rough->likely->price())->toBeLessThan($rough->highest())
        ->and($rough->likely->minutes())->toBeLessThan($rough->mostMinutes())
        ->and($rough->joints)->toBeLessThanOrEqual($rough->mostJoints);
})->with(['header', 'turbo-manifold', 'turbo-downpipe', 'system', 'collector']);

it('costs more with more cylinders, and with less room', function () {
    $price = static fn (array $answers): float => roughly('turbo-manifold', $answers)->likely->price();
    expect($price(['cylinders' => 3]))->toBeLessThan($price(['cylinders' => 4]))
        ->and($price(['room' => 'plenty']))->toBeLessThan($price(['room' => 'little']));
});

it('says what making the collector adds, to hold a bought one against', function () {
    $made = roughly('header');
    $bought = roughly('header', [], SomeIntake::overruled('intake.collector', 'buy it'));
    expect($made->collectorCost)->toBeGreaterThan(50.0)
        ->and($bought->collectorCost)->toBeNull()
        ->and($bought->likely->unpriced())->toContain('Collector, 4 into 1, for 1 3/4 in × .065')
        ->and($made->likely->unpriced())->not->toContain('Collector, 4 into 1, for 1 3/4 in × .065');
});

it('buys no collector that the customer brings', function () {
    $rough = roughly('header', ['brought' => [['what' => 'collector']]]);
    expect(implode(' ', $rough->likely->unpriced()))->not->toContain('Collector');
});

it('counts nothing of a repair', function () {
    expect(RoughQuote::of(SomeIntake::start('repair'), Some::shop()))->toBeNull();
});
