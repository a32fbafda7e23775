<?php

declare(strict_types=1);

use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Weld\Amperage;
use UpsweptBead\Core\Stage\Weld\Pass;

// Observed at benches, common practice without a source; each compared like with like, within 15 %.
it('agrees with what was observed at benches', function (float $amps, float $observed) {
    expect($amps)->toBeClose($observed, 0.15);
})->with([
    '.0625 tab, set current' => [fn () => Amperage::workingA(JointType::Butt, 1.5875, 1.5875, 0.8), 50],
    '.065 butt, set current' => [fn () => Amperage::workingA(JointType::Butt, 1.651, 1.651, 0.8), 50],
    '.065 to a V-band ring of .20' => [fn () => Amperage::workingA(JointType::VBandButt, 1.651, 5.08, 0.8), 70],
    '.065 to a casting of .25, preheated' => [fn () => 0.95 * Amperage::workingA(JointType::Butt, 1.651, 6.35, 0.8), 65],
    'thin butt, pulse peak' => [fn () => 1.25 * Amperage::workingA(JointType::Butt, 1.651, 1.651, 0.8), 75],
    '.109 to a half-inch flange, pedal maximum' => [
        fn () => Amperage::PEDAL * Amperage::workingA(JointType::FlangeFillet, 2.7686, 12.7, 0.8),
        125,
    ],
    '.145 bevelled, panel maximum' => [
        fn () => Amperage::PEDAL * Amperage::workingA(JointType::Butt, 3.683, 3.683, 0.8, Pass::Fill),
        132.5,
    ],
]);

it('takes one factor, never two', function (JointType $type, float $other, float $factor) {
    expect(Amperage::factor($type, 1.651, $other))->toBeClose($factor, 1e-6);
})->with([
    'equal butt' => [JointType::Butt, 1.651, 1.0],
    'equal fillet' => [JointType::FlangeFillet, 1.651, 1.15],
    'unequal fillet' => [JointType::FlangeFillet, 3.302, 1 + 0.25 * log(2)],
    'very unequal' => [JointType::VBandButt, 165.1, 1.5],
    'inside seal' => [JointType::FlangeSeal, 9.525, 0.65],
]);

/** @return list<float> every wall of the catalogue, and those of usual flanges and rings (mm), ascending */
function walls(): array
{
    $walls = array_map(static fn ($tube): float => $tube->wallMm, array_values(Catalogue::shipped()->tubes));
    $walls = array_values(array_unique([...$walls, 3.2, 3.21, 5.08, 6.35, 9.525, 12.7]));
    sort($walls);

    return $walls;
}

// Common practice: a thicker part on either side never asks for less current.
it('never falls as either wall grows, and makes no jump', function (JointType $type, Pass $pass) {
    foreach (walls() as $one) {
        $before = 0.0;
        foreach (walls() as $other) {
            $now = Amperage::workingA($type, $one, $other, 0.8, $pass);
            expect($now)->toBeGreaterThanOrEqual($before - 1e-9);
            $before = $now;
        }
        foreach ([0.5, 1.0, 1.09, 1.1, 1.11, 2.0, 6.0] as $ratio) {
            $step = Amperage::workingA($type, $one, $one * $ratio * 1.001, 0.8, $pass)
                - Amperage::workingA($type, $one, $one * $ratio, 0.8, $pass);
            expect($step)->toBeLessThan(0.003 * Amperage::workingA($type, $one, $one * $ratio, 0.8, $pass));
        }
    }
})->with([JointType::Butt, JointType::FlangeFillet, JointType::FlangeSeal, JointType::VBandButt, JointType::Tab])
    ->with([Pass::Only, Pass::Root, Pass::Fill]);

// From memory of common practice: the root of schedule 40 pipe runs at about 90 to 120 A, fill and cap at 110 to 155.
it('runs the root of heavy wall on a thin land at less than fill and cap', function (float $wallMm) {
    $root = Amperage::workingA(JointType::Butt, $wallMm, $wallMm, 0.8, Pass::Root);
    $fill = Amperage::workingA(JointType::Butt, $wallMm, $wallMm, 0.8, Pass::Fill);
    expect($root)->toBeGreaterThan(90.0)->toBeLessThan(120.0)
        ->and($fill)->toBeGreaterThan($root)->toBeLessThan(155.0);
})->with([3.683, 5.16, 5.49, 6.02]);

it('goes by the thinner wall whichever side it is on', function () {
    expect(Amperage::workingA(JointType::Butt, 5.08, 1.651, 0.8))->toBeClose(
        Amperage::workingA(JointType::Butt, 1.651, 5.08, 0.8),
    );
});

it('is set in fives', function (float $amps, float $dial) {
    expect(Amperage::onDial($amps))->toBe($dial);
})->with([[52.0, 50.0], [66.6, 65.0], [72.5, 75.0], [1.0, 5.0]]);
