<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\UnitSystem;

// 1 in = 25.4 mm exactly [international inch, 1959].
it('reads a length the way fabricators write it', function (string $written, float $mm) {
    expect(Length::parse($written, UnitSystem::Inch)->mm)->toBeClose($mm);
})->with([
    ['1 5/8', 41.275],
    ['1-5/8"', 41.275],
    ['1 - 5/8 in', 41.275],
    ['1⅝"', 41.275],
    ['5/8', 15.875],
    ['½ in', 12.7],
    ['1.625in', 41.275],
    ['.065', 1.651],
    ['.065"', 1.651],
    ['65 thou', 1.651],
    ['16ga', 1.651],
    ['16 gauge', 1.651],
    ['41.3mm', 41.3],
    ['4.13 cm', 41.3],
    ['-3 1/2 in', -88.9],
    ['−2', -50.8],
    ['0', 0.0],
    ['2 ft', 609.6],
    ["2'", 609.6],
    ['  3 in ', 76.2],
    // Feet and inches together, 27.5 in and so on.
    ["2' 3 1/2\"", 698.5],
    ["2'3\"", 685.8],
    ['2 ft 3 1/2 in', 698.5],
    ['1′ 6″', 457.2],
    ["-1' 6", -457.2],
    ["-0' 6", -152.4],
    ["3'-½\"", 927.1],
    ['31 1/2', 800.1],
    ['31.5"', 800.1],
]);

it('reads a decimal comma where it can be nothing else', function (string $written, float $mm) {
    expect(Length::parse($written, UnitSystem::Metric)->mm)->toBeClose($mm);
})->with([
    ['1,5 mm', 1.5],
    ['1,5', 1.5],
    ['42,16', 42.16],
    ['0,065 in', 1.651],
    ['-12,5 mm', -12.5],
    [',5 mm', 0.5],
    ['1,6255 in', 41.2877],
]);

it('does not guess whether a comma stands for thousands', function (string $written) {
    Length::parse($written, UnitSystem::Metric);
})->with(['1,500 mm', '12,345', '1,5,2', '1.234,5 mm', '1,2.5'])->throws(UnreadableQuantity::class);

it('takes a bare number in the person’s own units', function () {
    expect(Length::parse('12', UnitSystem::Inch)->mm)->toBeClose(304.8)
        ->and(Length::parse('12', UnitSystem::Metric)->mm)->toBeClose(12.0);
});

it('keeps what was written, with its unit, so that a change of units changes no size', function () {
    $length = Length::parse('12 1/2', UnitSystem::Inch);
    expect($length->written)->toBe('12 1/2 in')
        ->and(Length::parse((string) $length->written, UnitSystem::Metric)->mm)->toBeClose($length->mm);
});

it('says what is wrong with a text and what would be accepted', function (string $text, string $message) {
    expect(fn () => Length::parse($text, UnitSystem::Inch))->toThrow(UnreadableQuantity::class, $message);
})->with([
    ['about 3', '"about 3" is not a length; write it like 1 5/8, 1-5/8", 1.625in'],
    ['', '"" is not a length'],
    ['3 cfh', '"cfh" in "3 cfh" is not a unit of length'],
    ['1/0', '"1/0" is not a length'],
    ['16.5ga', 'one of 10, 11, 12'],
    ['19ga', 'is out of range for a tube gauge'],
    ['99999 ft', 'at most 100 m'],
    ["2' 14\"", 'whole feet, then less than 12 inches'],
    ["2' 3 mm", 'whole feet, then less than 12 inches'],
    ["2.5' 3", 'is not a length'],
    ['1e400', 'is not a length'],
    [str_repeat('9', 400), 'is not a length'],
]);

// Tube gauge is BWG; the values are from memory of the BWG table.
it('knows tube gauge both ways', function (int $gauge, float $inches) {
    expect(Length::parse("{$gauge}ga", UnitSystem::Metric)->inches())->toBeClose($inches)
        ->and(UpsweptBead\Core\Base\Units\TubeGauge::nearest($inches * 25.4))->toBe($gauge);
})->with([
    [20, 0.035],
    [18, 0.049],
    [17, 0.058],
    [16, 0.065],
    [15, 0.072],
    [14, 0.083],
    [13, 0.095],
    [12, 0.109],
    [11, 0.12],
    [10, 0.134],
]);

it('has no gauge for a wall between two', function () {
    expect(UpsweptBead\Core\Base\Units\TubeGauge::nearest(1.8))->toBeNull();
});
