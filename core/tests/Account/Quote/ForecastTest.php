<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Quote\Forecast;
use UpsweptBead\Core\Account\Quote\LineGroup;
use UpsweptBead\Core\Account\Quote\QuoteLine;

/** @return list<QuoteLine> */
function twoLines(): array
{
    return [
        new QuoteLine('a', LineGroup::Labour, 'Welding', 60.0, 'min', 1.0),
        new QuoteLine('b', LineGroup::Material, 'A bend', 2.0, '', 30.0),
    ];
}

it('expects what was quoted of all that nothing was counted of', function () {
    expect(Forecast::cost(twoLines(), [], false))->toBe(120.0)
        ->and(Forecast::cost(twoLines(), ['a' => 80.0], false))->toBe(140.0);
});

it('takes less than quoted only once the job is finished', function () {
    expect(Forecast::cost(twoLines(), ['a' => 20.0], false))->toBe(120.0)
        ->and(Forecast::cost(twoLines(), ['a' => 20.0], true))->toBe(80.0);
});
