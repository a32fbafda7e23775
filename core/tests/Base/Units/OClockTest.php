<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\OClock;

it('says a place round a tube by the clock, the mark at twelve', function (float $deg, string $hour) {
    expect(OClock::of($deg))->toBe($hour);
})->with([[0.0, '12'], [30.0, '1'], [38.0, '1:30'], [90.0, '3'], [180.0, '6'], [323.0, '11'], [359.0, '12'], [-30.0, '11'], [720.0, '12']]);

it('lists several with their degrees behind', function () {
    expect(OClock::list([323.0, 38.0]))->toBe('11 and 1:30 o’clock (323°, 38°)')
        ->and(OClock::list([0.0, 180.0, 90.0, 270.0]))->toBe('12, 6, 3 and 9 o’clock (0°, 180°, 90°, 270°)')
        ->and(OClock::list([90.0]))->toBe('3 o’clock (90°)');
});
