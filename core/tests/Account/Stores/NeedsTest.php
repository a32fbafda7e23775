<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Account\Stores\Need;
use UpsweptBead\Core\Account\Stores\Needs;
use UpsweptBead\Core\Shop\Practice\Bottle;
use UpsweptBead\Core\Shop\Practice\BottleUse;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

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
