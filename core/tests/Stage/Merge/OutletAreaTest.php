<?php

declare(strict_types=1);

use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Merge\OutletArea;

// Common practice: an outlet of 1 to 1.5 times the area of one tube chokes; less than one tube nobody wants.
it('knows a choke outlet by its area over that of one tube', function (float $ratio, OutletArea $area) {
    $rules = ShopRules::shipped();
    expect(OutletArea::of($ratio, $rules->value('merge.area_least'), $rules->value('merge.area_most')))->toBe($area);
})->with([
    [0.9, OutletArea::TooSmall],
    [0.996, OutletArea::Chokes],
    [1.0, OutletArea::Chokes],
    [1.5, OutletArea::Chokes],
    [1.54, OutletArea::Chokes],
    [1.56, OutletArea::Wide],
    [2.4, OutletArea::Wide],
]);
