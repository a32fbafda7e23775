<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Fit\Growth\HangerPlace;

function straightBendStraight(float $firstMm, float $lastMm): TubeRun
{
    $start = Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0));

    return new TubeRun($start, [new Bend($firstMm, 0.0, 90.0, 100.0)], $lastMm);
}

it('puts a hanger in the middle of the longest straight, never into a bend', function () {
    $arcMm = M_PI / 2 * 100;
    expect(HangerPlace::stationMm(straightBendStraight(200, 400), []))->toBeClose(200 + $arcMm + 200, 1e-9)
        ->and(HangerPlace::stationMm(straightBendStraight(500, 400), []))->toBeClose(250.0, 1e-9);
});

it('keeps off seams, bungs and other hangers', function () {
    // A bung in the middle of the long straight: the longer half of what it leaves, clear of it.
    expect(HangerPlace::stationMm(straightBendStraight(500, 100), [200.0]))->toBeClose((230 + 500) / 2, 1e-9);
});

it('says the middle of the run where nothing is free', function () {
    $run = straightBendStraight(40, 40);
    expect(HangerPlace::stationMm($run, [20.0, 60 + M_PI / 2 * 100]))->toBeClose($run->lengthMm() / 2, 1e-9);
});
