<?php

declare(strict_types=1);

use UpsweptBead\Core\Plan\Plan;
use UpsweptBead\Core\Plan\Planner;
use UpsweptBead\Core\Shop\Bottle;
use UpsweptBead\Core\Shop\BottleUse;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Stores\ItemKind;
use UpsweptBead\Core\Stores\Need;
use UpsweptBead\Core\Stores\Needs;
use UpsweptBead\Core\Stores\Saw;
use UpsweptBead\Core\Stores\SawAccount;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;
use UpsweptBead\Core\Units\UnitSystem;

function planOfEight(?Shop $shop = null): Plan
{
    static $plan = null;

    return $shop === null ? $plan ??= Planner::plan(SomeRoutedSets::eight(), Some::shop()) : Planner::plan(SomeRoutedSets::eight(), $shop);
}

/** @return array<string, Need> */
function needsOfEight(?Shop $shop = null): array
{
    return array_column(Needs::of(planOfEight($shop), $shop ?? Some::shop()), null, 'key');
}

it('takes every bar and bend that the cuts open', function () {
    $needs = needsOfEight();
    foreach (planOfEight()->cut->stock as $stock) {
        expect($needs[$stock->stockId]->quantity)->toBe((float) $stock->needed)
            ->and($needs[$stock->stockId]->kind)->toBe(isset(Some::shop()->catalogue->tubes[$stock->stockId]) ? ItemKind::Tube : ItemKind::Bend);
    }
});

it('prices a stick by the metre', function () {
    $rules = ShopRules::shipped();
    expect(needsOfEight()['T1.625x.065']->usualCost)->toBeClose($rules->value('cost.tube_metre') * 1.2192, 1e-9);
});

// Wire mass = seam length × (groove + reinforcement) × 7.93e-3 g/mm³ / 0.9, from memory.
it('takes as much wire as the sheets of its joints say', function () {
    $kg = $ofSheets = 0.0;
    foreach (needsOfEight() as $need) {
        $kg += $need->kind === ItemKind::Wire ? $need->quantity : 0.0;
    }
    foreach (planOfEight()->weld->sheets as $sheet) {
        $ofSheets += ($sheet->settings['wireMass'] ?? null)->value ?? 0.0;
    }
    expect($kg)->toBeClose($ofSheets, 1e-9)->toBeGreaterThan(0.0);
});

it('buys argon by the bottle, and only beyond what the open ones give', function () {
    $bottle = static fn (float $litres): array => [
        new Bottle('Torch', BottleUse::Torch, $litres, 16000.0, 16000.0),
        new Bottle('Purge', BottleUse::Purge, $litres, 16000.0, 16000.0),
    ];
    $with = static fn (float $litres): Shop => new Shop('S', ShopRules::shipped(), Some::shop()->catalogue, [], $bottle($litres));
    expect(needsOfEight($with(100_000.0)))->not->toHaveKey('argon')
        ->and(needsOfEight($with(500.0))['argon']->quantity)->toBeGreaterThan(2.0)
        ->and(needsOfEight())->not->toHaveKey('argon', 'nobody has a bottle to go by');
});

/** @param  list<SawAccount>  $saws */
function accountOf(Saw $saw, array $saws): SawAccount
{
    return array_values(array_filter($saws, static fn (SawAccount $one): bool => $one->saw === $saw))[0];
}

it('counts the cuts of a job once for every saw, and gives the cheapest first', function () {
    $saws = SawAccount::all(planOfEight()->cut, Some::shop());
    $pieces = array_sum(array_map(count(...), planOfEight()->cut->pieces));
    foreach ($saws as $i => $saw) {
        expect($saw->cuts)->toBe($saws[0]->cuts)
            ->and($saw->cost)->toBeGreaterThanOrEqual($saws[max(0, $i - 1)]->cost)
            ->and($saw->minutes)->toBeGreaterThan(0.0);
    }
    expect(count($saws))->toBe(4)
        ->and($saws[0]->cuts)->toBeGreaterThanOrEqual($pieces)->toBeLessThanOrEqual(2 * $pieces);
    // Common practice: an ordinary band blade is worn out after about eight cuts in stainless.
    $band = accountOf(Saw::Band, $saws);
    expect($band->blades)->toBeClose($band->cuts / 8, 1e-9);
});

it('reckons a saw by what the shop says of it', function () {
    $rules = ShopRules::shipped()
        ->with('saw.cold.minutes', '1', UnitSystem::Metric)
        ->with('saw.cold.cuts', '50', UnitSystem::Metric)
        ->with('saw.cold.price', '100', UnitSystem::Metric)
        ->with('cost.hour', '60', UnitSystem::Metric);
    $cold = accountOf(Saw::Cold, SawAccount::all(planOfEight()->cut, new Shop('S', $rules, Some::shop()->catalogue, [], [])));
    // A minute costs 1 and a cut's share of the blade 2.
    expect($cold->minutes)->toBeClose((float) $cold->cuts, 1e-9)
        ->and($cold->cost)->toBeClose(3.0 * $cold->cuts, 1e-9);
});
