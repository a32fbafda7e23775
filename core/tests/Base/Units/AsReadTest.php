<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

it('shows a value as it is read', function (Quantity $quantity, float $value, UnitSystem $units, string $text) {
    expect($quantity->read($value, $units))->toBe($text);
})->with([
    'a cut length on a tape' => [Quantity::Length, 7.190 * 25.4, UnitSystem::Inch, '7 3/16 in'],
    'to the nearest thirty-second' => [Quantity::Length, 14.521 * 25.4, UnitSystem::Inch, '14 17/32 in'],
    'a whole inch' => [Quantity::Length, 12.004 * 25.4, UnitSystem::Inch, '12 in'],
    'what a calliper is taken for' => [Quantity::Length, 0.030 * 25.4, UnitSystem::Inch, '0.030 in'],
    'half millimetres' => [Quantity::Length, 182.63, UnitSystem::Metric, '182.5 mm'],
    'a short length in tenths' => [Quantity::Length, 12.34, UnitSystem::Metric, '12.3 mm'],
    'less than nothing' => [Quantity::Length, -200.3, UnitSystem::Metric, '-200.5 mm'],
    'a flowmeter in CFH' => [Quantity::Flow, 7.2, UnitSystem::Inch, '15 CFH'],
    'and in half litres' => [Quantity::Flow, 7.2, UnitSystem::Metric, '7 L/min'],
    'a trickle more finely' => [Quantity::Flow, 2.42, UnitSystem::Metric, '2.4 L/min'],
    'a short length without a nought' => [Quantity::Length, 12.0, UnitSystem::Metric, '12 mm'],
    'a flow that is never none' => [Quantity::Flow, 0.1, UnitSystem::Metric, '0.1 L/min'],
    'a short post-flow' => [Quantity::Duration, 6.5, UnitSystem::Metric, '6.5 s'],
    'seconds never shortened' => [Quantity::Duration, 46.2, UnitSystem::Metric, '50 s'],
    'minutes' => [Quantity::Duration, 193.0, UnitSystem::Metric, '4 min'],
    'hours' => [Quantity::Duration, 5000.0, UnitSystem::Metric, '1 h 25 min'],
    'a whole hour' => [Quantity::Duration, 10790.0, UnitSystem::Metric, '3 h'],
    'a hot seam' => [Quantity::Temperature, 176.4, UnitSystem::Metric, '175 °C'],
    'and never higher than it is' => [Quantity::Temperature, 179.0, UnitSystem::Metric, '175 °C'],
    'in Fahrenheit' => [Quantity::Temperature, 250.0, UnitSystem::Inch, '480 °F'],
    'where a hand rests every degree counts' => [Quantity::Temperature, 45.0, UnitSystem::Inch, '113 °F'],
    'a bottle' => [Quantity::Volume, 4421.3, UnitSystem::Inch, '156 ft³'],
    'a wire' => [Quantity::TradeSize, 0.9, UnitSystem::Inch, '.035 in'],
    'a thicker wire' => [Quantity::TradeSize, 1.143, UnitSystem::Inch, '.045 in'],
    'a sixteenth' => [Quantity::TradeSize, 1.5875, UnitSystem::Inch, '1/16 in'],
    'and as it is sold elsewhere' => [Quantity::TradeSize, 2.4, UnitSystem::Inch, '3/32 in'],
    'in millimetres' => [Quantity::TradeSize, 1.6, UnitSystem::Metric, '1.6 mm'],
]);

it('is exact where it is asked to be', function () {
    expect(Quantity::Length->show(7.190 * 25.4, UnitSystem::Inch))->toBe('7.190 in')
        ->and(Quantity::Duration->show(193.0, UnitSystem::Metric))->toBe('3 min 13 s');
});
