<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Internal\QuantityText;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

covers(QuantityText::class);

// 1 ft³ = 28.316846592 L and 1 psi = 6.894757 kPa [NIST SP 811, appendix B].
it('reads gas, heat, pressure and the rest in either system', function (Quantity $quantity, string $text, float $base) {
    expect($quantity->parse($text, UnitSystem::Inch))->toBeClose($base, 1e-6);
})->with([
    [Quantity::Flow, '15 cfh', 15 * 0.4719474432],
    [Quantity::Flow, '15', 15 * 0.4719474432],
    [Quantity::Flow, '7 l/min', 7.0],
    [Quantity::Temperature, '350F', 176.6666667],
    [Quantity::Temperature, '175C', 175.0],
    [Quantity::Temperature, '32', 0.0],
    [Quantity::Temperature, '373.15 K', 100.0],
    [Quantity::Pressure, '100 psi', 689.4757],
    [Quantity::Pressure, '150 bar', 15_000.0],
    [Quantity::Volume, '1 ft³', 28.316846592],
    [Quantity::Angle, '30 deg', 30.0],
    [Quantity::Angle, '10°', 10.0],
    [Quantity::Angle, '10 degrees', 10.0],
    // A slope of one in eight: the angle whose tangent is 1/8.
    [Quantity::Angle, '1:8', 7.125016],
    [Quantity::Angle, '-1 : 1', -45.0],
    [Quantity::Angle, '−45°', -45.0],
    [Quantity::Duration, '1.5 min', 90.0],
    [Quantity::Current, '55 A', 55.0],
    [Quantity::Oxygen, '0.02 %', 200.0],
    [Quantity::Mass, '1 lb', 0.45359237],
    [Quantity::Travel, '3 in/min', 76.2],
    [Quantity::Percent, '5 %', 5.0],
    [Quantity::Count, '12', 12.0],
]);

it('takes bare gas numbers as metric on a metric job', function () {
    expect(Quantity::Flow->parse('7', UnitSystem::Metric))->toBeClose(7.0)
        ->and(Quantity::Temperature->parse('45', UnitSystem::Metric))->toBeClose(45.0);
});

it('shows tape fractions on a sixteenth and thousandths elsewhere', function (float $mm, string $shown) {
    expect(Quantity::Length->show($mm, UnitSystem::Inch))->toBe($shown);
})->with([
    [41.275, '1 5/8 in'],
    [25.4, '1 in'],
    [0.0, '0 in'],
    [-0.001, '0 in'],
    [12.7, '1/2 in'],
    [-88.9, '-3 1/2 in'],
    [42.0, '1.654 in'],
    [1.6, '1/16 in'],
    [1.651, '0.065 in'],
    [304.8, '12 in'],
]);

it('shows each quantity once with its unit', function (Quantity $quantity, float $value, string $inch, string $metric) {
    expect($quantity->show($value, UnitSystem::Inch))->toBe($inch)
        ->and($quantity->show($value, UnitSystem::Metric))->toBe($metric);
})->with([
    [Quantity::Wall, 1.651, '.065 in', '1.65 mm'],
    [Quantity::Length, 841.54, '33.131 in', '841.5 mm'],
    [Quantity::Flow, 7.0792116, '15 CFH', '7.1 L/min'],
    [Quantity::Temperature, 45.0, '113 °F', '45 °C'],
    [Quantity::Duration, 103.0, '1 min 43 s', '1 min 43 s'],
    [Quantity::Duration, 6.5, '6.5 s', '6.5 s'],
    [Quantity::Duration, 3725.0, '1 h 02 min', '1 h 02 min'],
    [Quantity::Volume, 28.316846592, '1 ft³', '28.3 L'],
    [Quantity::Current, 52.4, '52 A', '52 A'],
    [Quantity::Angle, -55.83, '-55.8°', '-55.8°'],
    [Quantity::Pressure, 15000.0, '2176 psi', '150 bar'],
    [Quantity::Mass, 2.0, '4.41 lb', '2.00 kg'],
    [Quantity::Oxygen, 199.6, '200 ppm', '200 ppm'],
]);

it('reads back what it shows', function (Quantity $quantity, UnitSystem $units) {
    $value = 123.4;
    $read = $quantity->parse($quantity->show($value, $units), $units);
    expect($read)->toBeClose($value, 0.02);
})
    ->with([
        Quantity::Length,
        Quantity::Angle,
        Quantity::Temperature,
        Quantity::Current,
        Quantity::Flow,
        Quantity::Mass,
        Quantity::Oxygen,
        Quantity::Travel,
        Quantity::Percent,
    ])
    ->with([UnitSystem::Inch, UnitSystem::Metric]);

it('refuses another quantity’s unit', function () {
    expect(fn () => Quantity::Current->parse('15 cfh', UnitSystem::Inch))
        ->toThrow(UnreadableQuantity::class, 'is not a unit of current')
        ->and(fn () => Quantity::Temperature->parse('20 mm', UnitSystem::Inch))
        ->toThrow(UnreadableQuantity::class, '350F or 175C');
});
