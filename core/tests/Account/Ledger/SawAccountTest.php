<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Ledger\SawAccount;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\Saw;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Tests\Support\Some;

/** @param  list<SawAccount>  $saws */
function accountOf(Saw $saw, array $saws): SawAccount
{
    return array_values(array_filter($saws, static fn (SawAccount $one): bool => $one->saw === $saw))[0];
}

it('counts the cuts of a job once for every saw, and gives the cheapest first', function () {
    $saws = SawAccount::all(30, Some::shop());
    foreach ($saws as $i => $saw) {
        expect($saw->cuts)->toBe(30)
            ->and($saw->cost)->toBeGreaterThanOrEqual($saws[max(0, $i - 1)]->cost)
            ->and($saw->minutes)->toBeGreaterThan(0.0);
    }
    expect(count($saws))->toBe(4);
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
    $cold = accountOf(Saw::Cold, SawAccount::all(30, new Shop('S', $rules, Some::shop()->catalogue, [], [])));
    // A minute costs 1 and a cut's share of the blade 2.
    expect($cold->minutes)->toBeClose((float) $cold->cuts, 1e-9)
        ->and($cold->cost)->toBeClose(3.0 * $cold->cuts, 1e-9);
});
