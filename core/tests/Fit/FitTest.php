<?php

declare(strict_types=1);

use UpsweptBead\Core\Fit\BuildOrder;
use UpsweptBead\Core\Fit\FitStep;
use UpsweptBead\Core\Fit\IndexMark;
use UpsweptBead\Core\Fit\JointFace;
use UpsweptBead\Core\Fit\TackPattern;
use UpsweptBead\Core\Geometry\Frame;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Run\Bend;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Weld\Joint;
use UpsweptBead\Core\Weld\JointType;

/** @return list<Joint> a downpipe: ring, three butts, flange inside and out, one bung */
function seams(): array
{
    $types = [JointType::VBandButt, JointType::Butt, JointType::Butt, JointType::Butt, JointType::FlangeSeal, JointType::FlangeFillet, JointType::Bung];

    return array_map(
        static fn (int $i): Joint => new Joint('J'.($i + 1), $types[$i], "P$i", 'P'.($i + 1), 100.0 * $i, 239, '304L', '304L', 1.651, 1.651, 76.2),
        array_keys($types),
    );
}

// Common practice: 4 tacks to 2 in, 6 to 3 in, 8 above.
it('sets the number of tacks by the tube', function (float $inches, int $count) {
    $pattern = TackPattern::forTube($inches * 25.4, 1.651);
    expect($pattern->fullDeg)->toHaveCount($count)
        ->and(array_unique($pattern->fullDeg))->toHaveCount($count)
        ->and($pattern->tackMm / 1.651)->toBeGreaterThanOrEqual(2.0)->toBeLessThanOrEqual(3.0);
})->with([[1.5, 4], [2, 4], [2.25, 6], [3, 6], [3.5, 8], [4, 8]]);

it('tacks opposite pairs in turn', function (float $inches) {
    foreach (array_chunk(TackPattern::forTube($inches * 25.4, 1.651)->fullDeg, 2) as [$one, $other]) {
        expect($other - $one)->toBe(180.0);
    }
})->with([1.5, 3, 4]);

it('holds a trial fit with two tacks close together on one side', function () {
    [$one, $other] = TackPattern::forTube(76.2, 1.651)->trialDeg;
    expect($other - $one)->toBeGreaterThanOrEqual(60.0)->toBeLessThanOrEqual(90.0);
});

it('gives every joint of a run a mark of its own', function () {
    $marks = array_map(static fn (int $n): string => IndexMark::forJoint($n)->text(), range(1, 24));
    expect(array_unique($marks))->toHaveCount(24)->and($marks[0])->toBe('1 short stroke')->and($marks[6])->toBe('1 long stroke, 2 short strokes');
});

it('fits bungs while their piece is open, then from the datum outwards', function () {
    $order = array_map(static fn (FitStep $step): string => $step->jointId, BuildOrder::fitting(seams()));
    expect($order)->toBe(['J7', 'J1', 'J2', 'J3', 'J4', 'J5']);
});

it('gives a reason for every move', function () {
    foreach (BuildOrder::fitting(seams()) as $step) {
        expect($step->why)->not->toBe('');
    }
});

it('welds bench joints first, neighbours apart, then the ends, the flange inside before outside', function () {
    $order = array_map(static fn (array $step): string => $step['joint']->id, BuildOrder::welding(seams()));
    expect($order)->toBe(['J7', 'J2', 'J4', 'J3', 'J1', 'J5', 'J6']);
});

it('says where up and the next throat line lie round a joint, from its index mark', function () {
    // A level run along x whose reference is straight up, a bend to its right, then a turn of 90° clockwise.
    $run = new TubeRun(Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)), [new Bend(100, -90, 90, 76), new Bend(100, 90, 45, 76)], 50);
    expect(JointFace::of($run, 50)->upDeg)->toBeClose(0.0, 0, 1e-9)->and(JointFace::of($run, 50)->nextThroatDeg)->toBeClose(-90.0)
        ->and(JointFace::of($run, 250)->upDeg)->toBeClose(90.0)->and(JointFace::of($run, 250)->nextThroatDeg)->toBeClose(90.0)
        ->and(JointFace::of($run, $run->lengthMm())->nextThroatDeg)->toBeNull();
    $upright = new TubeRun(Frame::facing(new Vector(0, 0, 0), new Vector(0, 0, 1)), [], 50);
    expect(JointFace::of($upright, 20)->upDeg)->toBeNull();
});
