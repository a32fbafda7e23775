<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Shop\Practice\ShopReader;
use UpsweptBead\Core\Stage\Cut\Estimate;
use UpsweptBead\Core\Tests\Support\Some;

/** @param  array<string, string>  $rules */
function priced(array $rules, int $joints): float
{
    $shop = ShopReader::read(
        ['format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'S', 'rules' => $rules],
        new Faults(),
    );

    return Estimate::ofCuts(Some::plan()->cut->stock, $joints, $shop);
}

it('prices every bend by the piece and every bar by its length', function () {
    $bends = $bars = 0;
    foreach (Some::plan()->cut->stock as $need) {
        Some::shop()->catalogue->bend($need->stockId) !== null ? ($bends += $need->needed) : ($bars += $need->needed);
    }
    expect($bends)->toBeGreaterThan(0)->and($bars)->toBeGreaterThan(0)
        ->and(priced(['cost.bend' => '40', 'cost.tube_metre' => '20', 'cut.stock_length' => '6000 mm'], 0))
        ->toBeClose(40.0 * $bends + 6 * 20.0 * $bars);
});

it('charges every joint by the hour: fitted, tacked, looked at, and one more piece with its cut', function () {
    $rules = [
        'cost.bend' => '0', 'cost.tube_metre' => '0', 'cost.hour' => '90', 'cost.cut' => '2', 'saw.band.price' => '24',
        'cost.fit_minutes' => '6', 'time.full_tack' => '3', 'cost.inspect_minutes' => '2', 'cost.prepare_minutes' => '4',
        'saw.band.minutes' => '5', 'saw.band.cuts' => '8',
    ];
    expect(priced($rules, 7))->toBeClose(7 * ((6 + 3 + 2 + 4 + 5) * 1.5 + 2 + 24 / 8));
});
