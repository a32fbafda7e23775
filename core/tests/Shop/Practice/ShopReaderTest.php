<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Shop\Practice\Bottle;
use UpsweptBead\Core\Shop\Practice\BottleUse;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopReader;
use UpsweptBead\Core\Shop\Practice\ShopRules;

/**
 * @param  array<string, mixed>  $document
 * @return array{Shop, list<string>}
 */
function shopOf(array $document): array
{
    $faults = new Faults();
    $shop = ShopReader::read(
        ['format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'Slip nine', ...$document],
        $faults,
    );

    return [$shop, array_map(static fn (Fault $one): string => "$one->path: $one->code", $faults->all())];
}

it('is the shipped shop but for what the document sets', function () {
    [$shop, $faults] = shopOf(['rules' => ['cut.kerf' => '2 mm'], 'shelf' => ['T3.000x.065' => 4]]);
    expect($faults)->toBe([])
        ->and($shop->rules->value('cut.kerf'))->toBe(2.0)
        ->and($shop->rules->value('cost.hour'))->toBe(ShopRules::shipped()->value('cost.hour'))
        ->and($shop->has('T3.000x.065'))->toBe(4)
        ->and($shop->has('T2.000x.065'))->toBe(0);
});

it('names what it cannot use', function (array $document, string $fault) {
    expect(shopOf($document)[1])->toContain($fault);
})->with([
    'a rule that is none' => [['rules' => ['cut.colour' => '2 mm']], 'rules.cut.colour: bad-rule'],
    'a rule without a number' => [['rules' => ['cut.kerf' => 'thin']], 'rules.cut.kerf: bad-rule'],
    'tube from no catalogue' => [['shelf' => ['T9.999x.065' => 1]], 'shelf.T9.999x.065: unknown-stock'],
    'fewer than none' => [['shelf' => ['T3.000x.065' => -2]], 'shelf.T3.000x.065: not-a-count'],
    'half a bar' => [['shelf' => ['T3.000x.065' => 1.5]], 'shelf.T3.000x.065: not-a-count'],
    'a bottle without a name' => [
        ['bottles' => [['use' => 'torch', 'capacity' => '80 ft³', 'full' => '2000 psi', 'gauge' => '900 psi']]],
        'bottles[0].name: missing',
    ],
    'a bottle read at no time' => [
        ['bottles' => [['name' => 'P', 'use' => 'purge', 'capacity' => '80 ft³', 'full' => '2000 psi', 'gauge' => '900 psi', 'read' => 'yesterday']]],
        'bottles[0].read: not-a-time',
    ],
    'a field it does not know' => [['colour' => 'red'], 'colour: unknown-field'],
]);

it('keeps back what a regulator needs, and never gives less than nothing', function () {
    // 9000 L at 15 000 kPa by gauge: of 10 000 kPa left, 350 stay behind; absolute pressure counts the full bottle.
    $bottle = new Bottle('P', BottleUse::Purge, 9000.0, 15_000.0, 10_000.0);
    expect($bottle->usableL())->toBeClose((9000 * 9650) / 15_101.325)
        ->and($bottle->share())->toBeClose(10_101.325 / 15_101.325)
        ->and((new Bottle('P', BottleUse::Purge, 9000.0, 15_000.0, 200.0))->usableL())->toBe(0.0);
});

it('goes down by what is drawn, and no further than empty', function () {
    // Boyle: half of 9000 L drawn takes half of the absolute pressure of a full bottle.
    $bottle = new Bottle('P', BottleUse::Purge, 9000.0, 15_000.0, 10_000.0);
    expect($bottle->drawn(4500.0)->gaugeKpa)->toBeClose(10_000.0 - 15_101.325 / 2)
        ->and($bottle->usableL() - $bottle->drawn(1000.0)->usableL())->toBeClose(1000.0)
        ->and($bottle->drawn(9000.0)->gaugeKpa)->toBe(0.0);
});

it('knows when a gauge was read', function () {
    $document = ['name' => 'P', 'use' => 'purge', 'capacity' => '80 ft³', 'full' => '2000 psi', 'gauge' => '900 psi'];
    [$shop] = shopOf(['bottles' => [[...$document, 'read' => '2026-03-02T08:15:00+00:00'], $document]]);
    expect($shop->bottles[0]->readAt?->format('H:i'))->toBe('08:15')->and($shop->bottles[1]->readAt)->toBeNull();
});
