<?php

declare(strict_types=1);

use UpsweptBead\Core\Geometry\Frame;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Purge\PurgePose;
use UpsweptBead\Core\Run\Bend;
use UpsweptBead\Core\Run\TubeRun;

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
