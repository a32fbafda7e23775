<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Job\Purpose;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopReader;
use UpsweptBead\Core\Stage\Intake\TubeChoice;
use UpsweptBead\Core\Tests\Support\Some;

/** @return array<string, TubeChoice> */
function choices(?Shop $shop = null): array
{
    $all = TubeChoice::all($shop ?? Some::shop());

    return array_combine(array_map(static fn (TubeChoice $one): string => $one->tube->id, $all), $all);
}

// Sizes in use, common practice without a source.
it('knows what a size is usually taken for', function (string $id, Purpose $purpose, bool $isUsual) {
    expect(in_array($purpose, choices()[$id]->usualFor, true))->toBe($isUsual);
})->with([
    ['T1.750x.065', Purpose::Header, true],
    ['T1.625x.049', Purpose::Header, true],
    ['T3.000x.065', Purpose::Header, false],
    ['T1.250x.065', Purpose::Header, false],
    ['P1.5-10S', Purpose::TurboManifold, true],
    ['P1.5-5S', Purpose::TurboManifold, false],
    ['T1.750x.065', Purpose::TurboManifold, false],
    ['T3.000x.065', Purpose::TurboDownpipe, true],
    ['T1.500x.065', Purpose::TurboDownpipe, false],
]);

it('offers every size of the catalogue, whatever it is for', function () {
    expect(array_keys(choices()))->toBe(array_keys(Some::shop()->catalogue->tubes));
});

it('counts lengths and bends of a size on the shelf', function () {
    $shelf = ['T3.000x.065' => 2, 'B3.000x.065-R4.5-90' => 3, 'T1.750x.065' => 1];
    $shop = ShopReader::read(
        ['format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'S', 'shelf' => $shelf],
        new Faults(),
    );
    expect(choices($shop)['T3.000x.065']->onShelf)->toBe(5)
        ->and(choices($shop)['T1.750x.065']->onShelf)->toBe(1)
        ->and(choices($shop)['T2.000x.065']->onShelf)->toBe(0);
});
