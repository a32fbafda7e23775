<?php

declare(strict_types=1);

use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Solve\Gas\Filling;

const CFH = 28.316846592 / 60;

// Ideal well-mixed dilution: 209 500·e^(−n).
it('leaves the oxygen that ideal mixing leaves', function (float $changes, float $ppm) {
    expect(Filling::leftPpm($changes))->toBeClose($ppm, 0.01);
})->with([[6, 519], [7, 191], [8, 70], [9, 26], [10, 9.5]]);

it('asks for the changes that reach a target', function (float $ppm, float $changes) {
    expect(Filling::changes($ppm))->toBeClose($changes, 0, 0.05)
        ->and(Filling::leftPpm(Filling::changes($ppm)))->toBeClose($ppm);
})->with([[50, 8.3], [200, 7.0]]);

// Check value: 1 3/4 × .065 tube 36 in long holds 0.0429 ft³; ten changes at 15 CFH take 103 s.
it('fills a yard of header tube in 103 seconds', function () {
    $volumeL = Catalogue::shipped()->tube('T1.750x.065')->boreAreaMm2() * 36 * 25.4 * 1e-6;
    expect($volumeL / 28.316846592)->toBeClose(0.0429, 2e-3)
        ->and(Filling::fillSeconds($volumeL, 10, 15 * CFH))->toBeClose(103.0, 5e-3);
});

// Orifice equation with 0.61 [any fluid mechanics text]; the check values are worked examples of it.
it('wants a vent that holds nothing back', function () {
    expect(Filling::ventMm(15 * CFH, 30))->toBeClose(6.4, 0.02)
        ->and(Filling::ventPressurePa(15 * CFH, 6.35))->toBeClose(31, 0.02)
        ->and(Filling::ventPressurePa(15 * CFH, 2.4))->toBeClose(1500, 0.05)
        ->and(Filling::ventPressurePa(9 * CFH, Filling::ventMm(9 * CFH, 30)))->toBeClose(30.0);
});

it('shows the room that this much argon would make unsafe', function () {
    expect(Filling::roomL(100))->toBeClose(1445, 2e-3);
});
