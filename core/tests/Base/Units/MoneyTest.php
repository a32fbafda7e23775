<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\Money;

it('writes a sign before the number and letters behind it', function (string $currency, float $sum, string $text) {
    expect((new Money($currency))->show($sum))->toBe($text);
})->with([
    ['$', 2338.4, "\$2\u{202F}338.40"],
    ['€', 0.0, '€0.00'],
    ['CHF', 65.5, "65.50\u{A0}CHF"],
    ['kr', -12.0, "-12.00\u{A0}kr"],
    ['$', -0.004, '$0.00'],
    ['', 1234567.891, "1\u{202F}234\u{202F}567.89"],
]);

it('leaves the cents off what is only about so much', function () {
    expect((new Money('$'))->about(2338.6))->toBe("\$2\u{202F}339")
        ->and((new Money('$'))->about(-0.2))->toBe('$0');
});
