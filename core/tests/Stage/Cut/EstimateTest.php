<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Shop\Practice\ShopReader;
use UpsweptBead\Core\Stage\Cut\Estimate;
use UpsweptBead\Core\Tests\Support\Some;

/** @param  array<string, string>  $rules */
function priced(array $rules): float
{
    $shop = ShopReader::read(
        ['format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'S', 'rules' => $rules],
        new Faults(),
    );

    return Estimate::of(Some::plan()->cut, $shop);
}

const NOTHING_BUT_STOCK = ['cost.hour' => '0', 'cost.cut' => '0', 'saw.band.price' => '0'];

it('prices every bend by the piece and every bar by its length', function () {
    $bends = $bars = 0;
    foreach (Some::plan()->cut->stock as $need) {
        Some::shop()->catalogue->bend($need->stockId) !== null ? ($bends += $need->needed) : ($bars += $need->needed);
    }
    expect($bends)->toBeGreaterThan(0)->and($bars)->toBeGreaterThan(0)
        ->and(priced([...NOTHING_BUT_STOCK, 'cost.bend' => '40', 'cost.tube_metre' => '20', 'cut.stock_length' => '6000 mm']))
        ->toBeClose(40.0 * $bends + 6 * 20.0 * $bars);
});

it('charges joints, pieces and cuts by the hour, with blades and discs', function () {
    $rules = [
        'cost.bend' => '0', 'cost.tube_metre' => '0', 'cost.hour' => '90', 'cost.cut' => '2', 'saw.band.price' => '24',
        'cost.fit_minutes' => '6', 'time.full_tack' => '3', 'cost.inspect_minutes' => '2', 'cost.prepare_minutes' => '4',
        'saw.band.minutes' => '5', 'saw.band.cuts' => '8',
    ];
    $cut = Some::plan()->cut;
    expect(priced($rules))->toBeClose(
        $cut->joints() * (6 + 3 + 2) * 1.5 + count($cut->allPieces()) * 4 * 1.5
            + $cut->cuts(Some::shop()->rules) * (5 * 1.5 + 2 + 24 / 8),
    );
});
