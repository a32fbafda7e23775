<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Cool\Internal\Fin;
use UpsweptBead\Core\Solve\Cool\SeamCooling;
use UpsweptBead\Core\Tests\Support\SomeMasses;

covers(Fin::class);

/*
 * Against a model of another kind: in two dimensions, on the unrolled tube, with the arc going round
 * (core/tests/reference/cool-2d.py made the answers beside the cases).
 */

it('cools beside a ring, a flange and a boss as a model in two dimensions says', function (string $name) {
    [$tube, $heat, $wanted] = SomeMasses::case($name);
    $curve = SeamCooling::of($tube, $heat, 10.0, [45.0], withEnds: false, spotLimitsC: [250.0]);
    expect(60 * ($curve->belowMin[0] ?? INF))->toBeClose($wanted['mean_s'][1], 0.05, 10)
        ->and($curve->peakC)->toBeClose($wanted['peak_mean_c'], 0.06, 0);
})->with(SomeMasses::names());

it('keeps the purge on until the hottest place round a seam is cool, and hardly longer', function (string $name) {
    [$tube, $heat, $wanted] = SomeMasses::case($name);
    $seconds = 60 * (SeamCooling::of($tube, $heat, 10.0, [], spotLimitsC: [250.0])->spotMin[0] ?? INF);
    expect($seconds)->toBeGreaterThan(0.95 * $wanted['spot_s'][0])
        ->toBeLessThan(1.1 * $wanted['spot_s'][0] + 8.0);
})->with(SomeMasses::names());

it('says about the same where it is worked out roughly', function (string $name) {
    [$tube, $heat] = SomeMasses::case($name);
    $fine = SeamCooling::of($tube, $heat, 10.0, [45.0], withEnds: true, spotLimitsC: [250.0]);
    $rough = SeamCooling::of($tube, $heat, 10.0, [45.0], isRough: true, withEnds: true, spotLimitsC: [250.0]);
    expect($rough->belowMin[0])->toBeClose($fine->belowMin[0] ?? INF, 0.05, 0)
        ->and($rough->spotMin[0])->toBeClose($fine->spotMin[0] ?? INF, 0.07, 0.04);
})->with(SomeMasses::names());

it('calls nothing cool while what stands at the seam is still hot', function () {
    [$tube, $heat] = SomeMasses::case('flange-free-fillet');
    $seam = SeamCooling::of($tube, $heat, 10.0, [60.0])->belowMin[0];
    expect(SeamCooling::of($tube, $heat, 10.0, [60.0], withEnds: true)->belowMin[0])->toBeGreaterThanOrEqual($seam);
});

it('keeps all the heat of a seam in flange, plate and tube where nothing is lost', function () {
    [$tube, $heat, $capacity] = SomeMasses::insulated();
    $curve = SeamCooling::of($tube, $heat, 10.0, [], [2000.0]);
    expect($curve->seamC[0])->toBeClose(20.0 + $heat->heatJ() / $capacity, 1e-3, 0);
});
