<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Ledger\Labour;
use UpsweptBead\Core\Account\Ledger\Ledger;
use UpsweptBead\Core\Account\Ledger\StepTimes;
use UpsweptBead\Core\Account\Quote\Quote;
use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Account\Stores\Need;
use UpsweptBead\Core\Shop\Practice\Practices;
use UpsweptBead\Core\Shop\Practice\Saw;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Stage\Weld\JointSheet;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;

dataset('plans', [
    'a downpipe' => [fn (): Plan => Some::plan()],
    'a bent collector' => [fn (): Plan => Planner::plan(SomeCollectors::job(['make' => 'bent', 'inlets' => 2]), Some::shop())],
]);

it('orders and charges the wire of the joint sheets, to the gram', function (Plan $plan) {
    $ledger = Ledger::of($plan, Some::shop());
    $sheets = array_sum(array_map(
        static fn (JointSheet $one): float => isset($one->settings['wire']) ? $one->settings['wireMass']->value : 0.0,
        $plan->weld->sheets,
    ));
    $wire = array_filter($ledger->goods, static fn (Need $one): bool => $one->kind === ItemKind::Wire);
    $charged = array_filter(
        Quote::of($plan, $ledger, Some::shop())->lines,
        static fn ($line): bool => str_starts_with($line->key, 'wire-'),
    );
    expect($sheets)->toBeGreaterThan(0.0)
        ->and(array_sum(array_column($wire, 'quantity')))->toBeClose($sheets, 1e-9)
        ->and(array_sum(array_column($charged, 'quantity')))->toBeClose($sheets, 1e-9);
})->with('plans');

it('charges the argon of the joint sheets, torch and purge', function (Plan $plan) {
    $ledger = Ledger::of($plan, Some::shop());
    $sheets = array_sum(array_map(static fn (JointSheet $one): float => array_sum($one->argonL()), $plan->weld->sheets));
    $used = array_column($ledger->used, null, 'key');
    expect($used['argon-m3']->quantity)->toBeClose($sheets / 1000, 1e-9);
})->with('plans');

it('has a time for every step of the bench, and the quote charges their sum', function (Plan $plan) {
    $ledger = Ledger::of($plan, Some::shop());
    $times = array_map(
        static fn (BenchStep $step): float => $ledger->times[$step->id]->minutes,
        $plan->steps,
    );
    $quote = Quote::of($plan, $ledger, Some::shop());
    expect(array_keys($ledger->times))->toBe(array_column($plan->steps, 'id'))
        ->and($quote->minutes())->toBeClose(array_sum($times), 1e-9);
})->with('plans');

it('is at the welds as long as the schedule says, from the first to the last', function (Plan $plan) {
    $ledger = Ledger::of($plan, Some::shop());
    $bolted = array_filter($plan->steps, static fn (BenchStep $one): bool => $one->kind === StepKind::Bolt);
    expect($ledger->minutes($plan->steps)[Labour::Weld->value])
        ->toBeClose($plan->schedule->attendedS() / 60 + 5.0 * count($bolted), 1e-6);
})->with('plans');

it('says by a rule how long every kind of step takes that the schedule does not time', function () {
    foreach (StepKind::cases() as $kind) {
        $rule = StepTimes::rule($kind);
        $isScheduled = in_array($kind, [StepKind::Purge, StepKind::Weld, StepKind::Side, StepKind::Cool, StepKind::Warm], true);
        expect($rule === null)->toBe($isScheduled);
        if ($rule !== null) {
            expect(Some::shop()->rules->get($rule)->quantity->value)->toBe('work');
        }
    }
});

it('presses, expands and trues a collector on somebody’s time', function () {
    $plan = Planner::plan(SomeCollectors::job(['make' => 'bent', 'inlets' => 2]), Some::shop());
    $minutes = Ledger::of($plan, Some::shop())->minutes($plan->steps);
    // The outlet once, and an inlet for each of two tubes.
    expect($minutes[Labour::Shape->value])->toBe(20.0 + 2 * 4.0);
});

it('puts the minutes of the shop’s own saw on its pieces, a cut between two of them once', function () {
    $with = static fn (Saw $saw): Shop => new Shop(
        'S', Some::shop()->rules, Some::shop()->catalogue, Some::shop()->shelf, [], practices: new Practices(saw: $saw),
    );
    $prepared = static fn (Saw $saw): float => Ledger::of(Some::plan(), $with($saw))
        ->minutes(Some::plan()->steps)[Labour::Prepare->value];
    $ledger = Ledger::of(Some::plan(), Some::shop());
    // As shipped a cut takes 5 min on the band saw, 1.5 on the friction saw, and a piece 4 besides.
    expect($prepared(Saw::Band) - $prepared(Saw::Friction))->toBeClose(3.5 * $ledger->cuts, 1e-9)
        ->and($prepared(Saw::Band))->toBeClose(5.0 * $ledger->cuts + 4.0 * count(Some::plan()->cut->allPieces()), 1e-9);
});

it('gives back what a unit took when a step is logged: the saw’s part comes off first', function () {
    $time = Ledger::of(Some::plan(), Some::shop())->times['prepare.A1'];
    $full = Ledger::of(Some::plan(), Some::shop())->times['full.A'];
    expect($time->perUnit($time->besidesMin + 6.0))->toBeClose(6.0, 1e-9)
        ->and($time->besidesMin)->toBeGreaterThan(0.0)
        ->and($full->perUnit(12.0))->toBeClose(12.0 / $full->units, 1e-9)
        ->and(Ledger::of(Some::plan(), Some::shop())->times['weld.AJ2']->perUnit(9.0))->toBeNull();
});

it('wears out blades, dresses cuts, grinds tungsten, tapes seams and dams ends', function () {
    $ledger = Ledger::of(Some::plan(), Some::shop());
    $used = array_column($ledger->used, null, 'key');
    $arcMin = array_sum(array_map(static fn (JointSheet $one): float => $one->settings['arc']->value / 60, Some::plan()->weld->sheets));
    // Common practice: an ordinary band blade is worn out after about eight cuts in stainless.
    expect($used['blades']->quantity)->toBeClose($ledger->cuts / 8, 1e-9)
        ->and($used['cuts']->quantity)->toBe((float) $ledger->cuts)
        ->and($used['tungsten']->quantity)->toBeClose($arcMin / (20 * 25), 1e-9)
        ->and($used['tape']->quantity)->toBeGreaterThan(0.0)
        ->and($used['dams']->quantity)->toBeGreaterThan(0.0);
});
