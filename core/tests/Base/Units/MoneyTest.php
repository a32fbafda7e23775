<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\Money;

it('writes a sign before the number and letters behind it', function (string $currency, float $sum, string $text) {
    expect((new Money($currency))->show($sum))->toBe($text);
})->with(fn (): array => json_decode((string) file_get_contents(__DIR__.'/money-cases.json'), true, flags: JSON_THROW_ON_ERROR));

it('leaves the cents off what is only about so much', function () {
    expect((new Money('$'))->about(2338.6))->toBe("\$2\u{202F}339")
        ->and((new Money('$'))->about(-0.2))->toBe('$0');
});
