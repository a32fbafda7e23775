<?php

declare(strict_types=1);

use UpsweptBead\Core\Tests\Support\Precision;
use UpsweptBead\Core\Tests\Support\Schemas;

expect()->extend('toBeClose', function (
    float $expected,
    float $relative = Precision::RELATIVE,
    float $absolute = Precision::ABSOLUTE,
) {
    $actual = $this->value;
    $allowed = max($absolute, $relative * abs($expected));
    expect(abs($actual - $expected))->toBeLessThanOrEqual($allowed, "$actual is not within $allowed of $expected");

    return $this;
});

expect()->extend('toBeAn', function (string $name) {
    $wrong = Schemas::wrong($this->value, $name);
    expect($wrong)->toBe('', "This is no $name: $wrong");

    return $this;
});
