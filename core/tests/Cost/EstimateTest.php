<?php

declare(strict_types=1);

use UpsweptBead\Core\Cost\Estimate;
use UpsweptBead\Core\Cut\StockNeed;
use UpsweptBead\Core\Document\Faults;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Shop\ShopReader;
use UpsweptBead\Core\Tests\Support\Some;

/** @param  array<string, string>  $rules */
function priced(array $rules): Estimate
{
    $plan = Some::plan();
    $shop = ShopReader::read(
        ['format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'S', 'rules' => $rules],
        new Faults(),
    );

    return Estimate::of($plan->cut->stock, $plan->joints, $plan->schedule, $shop);
}

/** @return array<string, StockNeed> */
function bought(): array
{
    return array_column(Some::plan()->cut->stock, null, 'stockId');
}

it('prices every bend by the piece and every bar by its length', function () {
    $bends = $bars = 0;
    foreach (bought() as $id => $need) {
        Shop::bare()->catalogue->bend((string) $id) !== null ? ($bends += $need->needed) : ($bars += $need->needed);
    }
    expect($bends)->toBeGreaterThan(0)->and($bars)->toBeGreaterThan(0);
    $estimate = priced([
        'cost.bend' => '40',
        'cost.tube_metre' => '20',
        'cut.stock_length' => '6000 mm',
        'cost.hour' => '0',
        'cost.fit_minutes' => '0',
        'cost.prepare_minutes' => '0',
    ]);
    expect($estimate->material)->toBeClose(40.0 * $bends + 6 * 20.0 * $bars)
        ->and($estimate->cost)->toBeClose($estimate->material);
});

it('charges the minutes at the bench, the fitting of every joint and the cutting for it by the hour', function () {
    $plan = Some::plan();
    // Filled, welded, put up and waited for as planned; what cools when all is welded needs nobody.
    $seconds = array_sum(array_map(
        static fn ($slot): float => $slot->changeS + $slot->waitS + $slot->attendedS(),
        $plan->schedule->slots,
    ));
    $estimate = priced([
        'cost.bend' => '0',
        'cost.tube_metre' => '0',
        'cost.hour' => '90',
        'cost.fit_minutes' => '6',
        'cost.prepare_minutes' => '4',
    ]);
    expect($estimate->minutes)->toBeClose($seconds / 60 + (6 + 4) * count($plan->joints->joints))
        ->and($estimate->cost)->toBeClose($estimate->minutes * 1.5)
        ->and($estimate->material)->toBe(0.0);
});
