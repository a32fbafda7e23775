<?php

declare(strict_types=1);

use UpsweptBead\Core\Geometry\Frame;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Purge\Purge;
use UpsweptBead\Core\Purge\PurgePose;
use UpsweptBead\Core\Run\Bend;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Stock\Catalogue;

const CFH = 28.316846592 / 60;

// Ideal well-mixed dilution: 209 500·e^(−n).
it('leaves the oxygen that ideal mixing leaves', function (float $changes, float $ppm) {
    expect(Purge::leftPpm($changes))->toBeClose($ppm, 0.01);
})->with([[6, 519], [7, 191], [8, 70], [9, 26], [10, 9.5]]);

it('asks for the changes that reach a target', function (float $ppm, float $changes) {
    expect(Purge::changes($ppm))->toBeClose($changes, 0, 0.05)
        ->and(Purge::leftPpm(Purge::changes($ppm)))->toBeClose($ppm);
})->with([[50, 8.3], [200, 7.0]]);

// Check value: 1 3/4 × .065 tube 36 in long holds 0.0429 ft³; ten changes at 15 CFH take 103 s.
it('fills a yard of header tube in 103 seconds', function () {
    $volumeL = Catalogue::shipped()->tube('T1.750x.065')->boreAreaMm2() * 36 * 25.4 * 1e-6;
    expect($volumeL / 28.316846592)->toBeClose(0.0429, 2e-3)
        ->and(Purge::fillSeconds($volumeL, 10, 15 * CFH))->toBeClose(103.0, 5e-3);
});

// Orifice equation with 0.61 [any fluid mechanics text]; the check values are worked examples of it.
it('wants a vent that holds nothing back', function () {
    expect(Purge::ventMm(15 * CFH, 30))->toBeClose(6.4, 0.02)
        ->and(Purge::ventPressurePa(15 * CFH, 6.35))->toBeClose(31, 0.02)
        ->and(Purge::ventPressurePa(15 * CFH, 2.4))->toBeClose(1500, 0.05)
        ->and(Purge::ventPressurePa(9 * CFH, Purge::ventMm(9 * CFH, 30)))->toBeClose(30.0);
});

it('shows the room that this much argon would make unsafe', function () {
    expect(Purge::roomL(100))->toBeClose(1445, 2e-3);
});

/** @param  array{float|int, float|int, float|int}  $direction */
function tubeFrom(array $direction, Bend ...$bends): TubeRun
{
    return new TubeRun(
        Frame::facing(new Vector(0, 0, 0), new Vector(...$direction), new Vector(0, 0, 1)),
        array_values($bends),
        100,
    );
}

it('feeds the low end and vents the high one', function () {
    expect(PurgePose::of(tubeFrom([1, 0, 0.5]), 70)->feedAtStart)->toBeTrue()
        ->and(PurgePose::of(tubeFrom([1, 0, -0.5]), 70)->feedAtStart)->toBeFalse();
});

it('finds air trapped in a high bend and stands the run on end when that frees it', function () {
    // Up, over the top and down again: an arch that keeps air between two low ends.
    $arch = tubeFrom([0, 0, 1], new Bend(100, 0, 90, 76.2), new Bend(100, 0, 90, 76.2));
    $pose = PurgePose::of($arch, 70);
    expect($pose->hold)->not->toBe('')->and($pose->trappedMl)->toBeLessThan(5.0);
    $hook = PurgePose::of(tubeFrom([1, 0, 0], new Bend(400, 180, 90, 76.2)), 70);
    expect($hook->hold)->toBe('')->and($hook->trappedMl)->toBeLessThan(5.0);
});

it('sees a hump that is lower than the vent, behind a dip', function () {
    // Level, up over a hump, down, and up again to a vent that is higher than the hump.
    $run = tubeFrom(
        [1, 0, 0],
        new Bend(60, 0, 45, 114.3), new Bend(40, 180, 90, 114.3), new Bend(40, 180, 90, 114.3),
    );
    $up = PurgePose::of($run, 70);
    expect($up->hold)->not->toBe('')->and($up->trappedMl)->toBeLessThan(5.0);
});

it('turns a nearly closed loop so that its two ends are up', function () {
    $loop = tubeFrom([0, 0, 1], new Bend(60, 0, 90, 76.2), new Bend(200, 0, 90, 76.2), new Bend(60, 0, 90, 76.2));
    expect(PurgePose::of($loop, 70)->trappedMl)->toBeLessThan(5.0)->and(PurgePose::of($loop, 70)->hold)->not->toBe('');
});
