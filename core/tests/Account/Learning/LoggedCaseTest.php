<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Learning\LoggedCase;

it('scales a rule by what was read over what was planned', function () {
    // Planned by a pace of 1.2: 60 s. It took 75 s, so the pace was 1.5.
    expect(LoggedCase::proportional(1.2, 75.0, 60.0))->toBeClose(1.5)
        ->and(LoggedCase::proportional(1.2, 0.0, 60.0))->toBe(0.0)
        ->and(LoggedCase::proportional(1.2, 75.0, 0.0))->toBeNull();
});

it('learns how fast the shop cools from what is warmer than the air and was read before the next break', function () {
    expect(LoggedCase::tellsOfCooling(45.0, 20.0, 1200.0))->toBeTrue()
        ->and(LoggedCase::tellsOfCooling(24.9, 20.0, 1200.0))->toBeFalse()
        ->and(LoggedCase::tellsOfCooling(25.0, 20.0, 1200.0))->toBeTrue()
        ->and(LoggedCase::tellsOfCooling(45.0, 20.0, 7200.0))->toBeFalse()
        ->and(LoggedCase::tellsOfCooling(45.0, 20.0, 0.0))->toBeFalse();
});

it('takes no gap for one that no gauge goes into', function () {
    expect(LoggedCase::gapMm(0.0))->toBe(0.02)->and(LoggedCase::gapMm(0.3))->toBe(0.3);
});
