<?php

declare(strict_types=1);

use UpsweptBead\Core\Shop\Practice\Bottle;
use UpsweptBead\Core\Shop\Practice\BottleUse;
use UpsweptBead\Core\Solve\Gas\Filling;
use UpsweptBead\Core\Stage\Device\Device;
use UpsweptBead\Core\Stage\Device\Leak;
use UpsweptBead\Core\Stage\Device\Noise;
use UpsweptBead\Core\Stage\Device\Rig;
use UpsweptBead\Core\Stage\Device\SimulatedArc;
use UpsweptBead\Core\Stage\Device\SimulatedGas;
use UpsweptBead\Core\Stage\Device\SimulatedOxygenMeter;
use UpsweptBead\Core\Stage\Device\SimulatedThermometer;

// Closed form: c = c∞ + (c_air − c∞)·e^(−(Q+q)t/V), with c∞ = (Q·c₀ + q·c_air)/(Q + q).
it('reads what a stirred volume holds, tight or leaking', function (float $leakLMin) {
    [$volumeL, $flow] = [0.9, 7.0];
    $meter = new SimulatedOxygenMeter($volumeL, $flow, 0.0, $leakLMin, 0.0, null);
    $endPpm = ($flow * SimulatedOxygenMeter::INLET_PPM + $leakLMin * Filling::AIR_PPM) / ($flow + $leakLMin);
    foreach ([0.0, 5.0, 20.0, 61.3, 200.0] as $seconds) {
        $ppm = $endPpm + (Filling::AIR_PPM - $endPpm) * exp(-($flow + $leakLMin) * $seconds / 60 / $volumeL);
        expect($meter->at($seconds))->toEqualWithDelta($ppm, 1e-4 * $ppm + 1e-6);
    }
})->with([0.0, 0.004, 0.2]);

it('agrees with the volume changes of the plan', function () {
    $meter = new SimulatedOxygenMeter(1.215, 7.08, 0.0, 0.0, 0.0, null);
    $seconds = Filling::fillSeconds(1.215, Filling::changes(50.0), 7.08);
    // The argon itself holds a little.
    expect($meter->at($seconds))->toEqualWithDelta(50.0 + SimulatedOxygenMeter::INLET_PPM, 1.0);
});

/** The same balance in small steps of time, by the midpoint rule. */
function steppedPpm(float $mainL, float $pocketL, float $flow, float $leak, float $lagS, float $seconds): float
{
    $k = SimulatedOxygenMeter::EXCHANGE_L_MIN;
    $slope = static function (array $state) use ($mainL, $pocketL, $flow, $leak, $lagS, $k): array {
        [$main, $pocket, $cell] = $state;
        $in = $flow * SimulatedOxygenMeter::INLET_PPM + $leak * Filling::AIR_PPM - ($flow + $leak) * $main;
        $exchange = $pocketL > 0.0 ? $k * ($pocket - $main) : 0.0;

        return [($in + $exchange) / $mainL / 60, $pocketL > 0.0 ? -$exchange / $pocketL / 60 : 0.0, ($main - $cell) / $lagS];
    };
    $state = array_fill(0, 3, Filling::AIR_PPM);
    $step = 0.01;
    for ($t = 0.0; $t < $seconds - 1e-9; $t += $step) {
        $first = $slope($state);
        $half = array_map(static fn (float $one, float $by): float => $one + $step / 2 * $by, $state, $first);
        $state = array_map(static fn (float $one, float $by): float => $one + $step * $by, $state, $slope($half));
    }

    return $state[2];
}

it('lets a pocket of air bleed into the stream long after the rest is clean', function (float $pocketL, float $leak, float $lagS) {
    $meter = new SimulatedOxygenMeter(0.8 + $pocketL, 7.0, $pocketL, $leak, $lagS, null);
    foreach ([3.0, 30.0, 90.0] as $seconds) {
        $ppm = steppedPpm(0.8, $pocketL, 7.0, $leak, $lagS, $seconds);
        expect($meter->at($seconds))->toEqualWithDelta($ppm, 2e-3 * $ppm);
    }
    expect($meter->at(120.0))->toBeGreaterThan($pocketL > 0.0 ? 1000.0 : 0.0);
})->with([
    'a pocket' => [0.2, 0.0, 3.0],
    'a pocket and a leak' => [0.15, 0.01, 3.0],
    'none of both, a slow cell' => [0.0, 0.0, 9.0],
]);

it('reads a bung as well as a whole set', function (float $volumeL) {
    $meter = new SimulatedOxygenMeter($volumeL, 7.0, 0.0, 0.0, 3.0, null);
    foreach ([0.0, 0.5, 5.0, 60.0, 900.0] as $seconds) {
        expect($meter->at($seconds))->toBeGreaterThanOrEqual(SimulatedOxygenMeter::INLET_PPM - 1e-6)
            ->toBeLessThanOrEqual(Filling::AIR_PPM + 1e-6);
    }
    expect($meter->at(900.0))->toBeLessThan($volumeL < 1.0 ? 4.0 : 1e5);
})->with([0.004, 0.1, 0.35, 20.0]);

it('lags behind as its cell does', function () {
    $at = static fn (float $lagS): float => (new SimulatedOxygenMeter(0.9, 7.0, 0.0, 0.0, $lagS, null))->at(40.0);
    expect($at(5.0))->toBeGreaterThan(1.5 * $at(0.0));
});

// Newton: T − T_air falls by the same share in the same time.
it('has a seam at each temperature when the plan has it there, and between by Newton', function () {
    $seam = new SimulatedThermometer([[120.0, 250.0], [1200.0, 45.0]], 20.0, null);
    expect($seam->at(120.0))->toEqualWithDelta(250.0, 1e-6)
        ->and($seam->at(1200.0))->toEqualWithDelta(45.0, 1e-6)
        ->and($seam->at(660.0))->toEqualWithDelta(20.0 + sqrt(230.0 * 25.0), 1e-6)
        ->and($seam->at(0.0))->toBeGreaterThan(300.0)->toBeLessThanOrEqual(650.0)
        ->and($seam->at(7200.0))->toEqualWithDelta(20.0, 0.1);
});

it('never warms up by itself', function (array $passes) {
    $seam = new SimulatedThermometer($passes, 20.0, null);
    $last = INF;
    foreach (range(0, 3000, 20) as $seconds) {
        expect($seam->at((float) $seconds))->toBeLessThanOrEqual($last + 1e-9);
        $last = $seam->at((float) $seconds);
    }
})->with([
    'one limit' => [[[900.0, 45.0]]],
    'two' => [[[120.0, 250.0], [1200.0, 45.0]]],
    'three' => [[[60.0, 250.0], [200.0, 175.0], [1500.0, 45.0]]],
    'none of it hot for long' => [[[0.0, 250.0], [60.0, 45.0]]],
]);

it('welds in runs, with the post-flow between, at the volts of such an arc', function () {
    $amps = new SimulatedArc(50.0, 20.0, 5.0, 3, false, null);
    $volts = new SimulatedArc(50.0, 20.0, 5.0, 3, true, null);
    expect($amps->at(10.0))->toBe(50.0)->and($amps->at(22.0))->toBe(0.0)->and($amps->at(35.0))->toBe(50.0)
        ->and($amps->at(80.0))->toBe(0.0)
        // IEC 60974-1, conventional load voltage of TIG: 10 + 0.04·I.
        ->and($volts->at(10.0))->toBe(12.0)->and($volts->at(22.0))->toBe(0.0);
});

it('empties a bottle by what flows out of it', function () {
    $bottle = new Bottle('Purge 1', BottleUse::Purge, 2265.0, 15200.0, 10000.0);
    $gauge = new SimulatedGas(7.0, $bottle, null);
    // Contents go with absolute pressure: 70 L of 2265 L take the same share of 15 301 kPa.
    expect($gauge->at(600.0))->toEqualWithDelta(10000.0 - 70.0 / 2265.0 * 15301.325, 1e-6)
        ->and((new SimulatedGas(7.0, null, null))->at(600.0))->toBe(7.0);
});

it('reads the same again for the same seed, and other chance for another', function () {
    $rig = Rig::purge(0.9, 7.0, 0.0);
    $read = static fn (string $seed): float => $rig->devices($seed, Leak::Tight, 1.0, [])[0]->at(30.0);
    expect($read('a'))->toBe($read('a'))->and($read('a'))->not->toBe($read('b'));
    $sum = 0.0;
    foreach (range(1, 2000) as $i) {
        $chance = (new Noise('x'))->at($i / 10);
        expect(abs($chance))->toBeLessThanOrEqual(1.0);
        $sum += $chance;
    }
    expect(abs($sum / 2000))->toBeLessThan(0.03);
});

it('is slower to get clean the worse it is taped, and never gets there with the tape off', function () {
    $rig = Rig::purge(0.9, 7.0, 0.0);
    $ppm = array_map(
        static fn (Leak $leak): float => $rig->devices('a', $leak, 1.0, [])[0]->at(300.0),
        [Leak::Tight, Leak::Poor, Leak::Open],
    );
    expect($ppm[0])->toBeLessThan(50.0)->and($ppm[1])->toBeGreaterThan(200.0)->and($ppm[2])->toBeGreaterThan(1000.0);
});

it('puts up the instruments of each kind of step', function () {
    $bottles = [
        new Bottle('Torch', BottleUse::Torch, 4250.0, 16500.0, 9000.0),
        new Bottle('Purge 1', BottleUse::Purge, 2265.0, 15200.0, 9000.0),
    ];
    $names = static fn (Rig $rig): array => array_map(
        static fn (Device $one): string => $one->label(),
        $rig->devices('a', Leak::Tight, 1.0, $bottles),
    );
    expect($names(Rig::purge(1.0, 7.0, 0.0)))->toBe(['Oxygen at the vent', 'Flow', 'Purge 1'])
        ->and($names(Rig::arc(50.0, 20.0, 5.0, 4, 14.0)))->toBe(['Amps', 'Arc volts', 'Flow', 'Torch'])
        ->and($names(Rig::cooling([[600.0, 45.0]], 20.0)))->toBe(['At the seam']);
});
