<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Adjust\Adjustment;
use UpsweptBead\Core\Solve\Adjust\Chain;
use UpsweptBead\Core\Solve\Adjust\ClosingGap;
use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Observation\AngleOf;
use UpsweptBead\Core\Solve\Adjust\Observation\AxisAngle;
use UpsweptBead\Core\Solve\Adjust\Observation\Between;
use UpsweptBead\Core\Solve\Adjust\Observation\InFace;
use UpsweptBead\Core\Solve\Adjust\Observation\Midway;
use UpsweptBead\Core\Solve\Adjust\Observation\Offset;
use UpsweptBead\Core\Solve\Adjust\Observation\OnAxis;
use UpsweptBead\Core\Solve\Adjust\Observation\OnCircle;
use UpsweptBead\Core\Solve\Adjust\Observation\OnLine;
use UpsweptBead\Core\Solve\Adjust\Observation\SquareTo;
use UpsweptBead\Core\Solve\Adjust\Observation\Tape;
use UpsweptBead\Core\Solve\Adjust\Reading;
use UpsweptBead\Core\Solve\Adjust\Rivals;
use UpsweptBead\Core\Solve\Adjust\Sheet;
use UpsweptBead\Core\Solve\Adjust\Sighting;
use UpsweptBead\Core\Solve\Adjust\Unknowns;
use UpsweptBead\Core\Solve\Adjust\Xyz;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\TubeRun;

/**
 * @param  array<string, array{float, float, float}|null>  $places
 * @param  array<string, array{float, float, float}|null>  $axes
 * @param  list<Reading>  $readings
 */
function adjusted(array $places, array $axes, array $readings): Adjustment
{
    $sheet = new Sheet(['datum' => Xyz::ZERO, ...$places], $axes, array_keys($axes), [], [], $readings);

    return Adjustment::of($sheet, Rivals::of($sheet)[0]) ?? throw new RuntimeException('not determined');
}

it('knows by closed form how each kind of reading changes with what it is of', function (Sighting $of) {
    $places = ['p' => [12.0, -40.0, 75.0], 'q' => [-160.0, 33.0, 8.0], 'm' => [50.0, 61.0, -20.0], 'e' => [5.0, 9.0, -3.0], 'f' => [-90.0, 14.0, 66.0]];
    $axes = ['e' => Xyz::unit([0.3, 0.8, -0.4]), 'f' => Xyz::unit([0.2, 0.1, 0.97])];
    $unknowns = Unknowns::of(array_keys($places), array_keys($axes), ['ring']);
    $here = new Estimate($places, $axes, ['ring' => 41.0]);
    $row = $of->at($here)->row($unknowns, $here);
    for ($column = 0; $column < $unknowns->count; $column++) {
        $step = array_fill(0, $unknowns->count, 0.0);
        $size = $column < 15 ? 1e-4 : 1e-6;
        $step[$column] = $size;
        $ahead = $of->at($here->stepped($unknowns, $step))->residual;
        $step[$column] = -$size;
        $behind = $of->at($here->stepped($unknowns, $step))->residual;
        // What is computed grows where the residual falls.
        expect(-($ahead - $behind) / (2 * $size))->toBeClose($row[$column] ?? 0.0, 1e-5, 1e-5);
    }
})->with([
    'offset' => [new Offset('p', 'q', 1, 3.0)], 'tape' => [new Tape('p', 'e', 90.0)],
    'rod, sideways' => [new OnAxis('e', 'p', false)], 'rod, upright' => [new OnAxis('e', 'q', true)],
    'rod of a steep axis' => [new OnAxis('f', 'p', true)], 'face' => [new InFace('e', [4.0, 5.0, 6.0])],
    'bolt hole' => [new OnCircle('ring', 'e', 'p', null)], 'dip' => [new AxisAngle('e', AngleOf::Dip, 20.0)],
    'bearing' => [new AxisAngle('e', AngleOf::Bearing, 20.0, 90.0)], 'lean from the side' => [new AxisAngle('f', AngleOf::LeanFromSide, 10.0)],
    'lean from the front' => [new AxisAngle('f', AngleOf::LeanFromFront, 8.0)], 'plumb' => [new AxisAngle('f', AngleOf::Forward, 0.0)],
    'square, sideways' => [new SquareTo('f', 'e', false)], 'square, upright' => [new SquareTo('f', 'e', true)],
    'angle between' => [new Between('e', 'f', 70.0)], 'midway' => [new Midway('m', 'p', 'q', 2)],
    'line, sideways' => [new OnLine('m', 'p', 'q', false)], 'line, upright' => [new OnLine('m', 'p', 'q', true)],
]);

it('is as sure of a stub as its length makes it: the square root of two times sigma over its length', function () {
    $now = adjusted(['e' => null], ['e' => null], [
        Reading::rod('rod of e', 1.0, 'e', [[3.0, 40.0, -8.0], [6.0, 238.0, -70.0]]),
        Reading::offset('y', 0.5, 'e', 'datum', [1 => 0.0]),
    ]);
    $long = Xyz::length([3.0, 198.0, -62.0]);
    expect($now->axisSd('e')[0])->toBeClose(rad2deg(sqrt(2) / $long), 1e-4);
});

it('is as sure of a face as its edge makes it: sigma over the edge of a square of four corners', function () {
    $square = [[-20.0, 0.0, -20.0], [20.0, 0.0, -20.0], [20.0, 0.0, 20.0], [-20.0, 0.0, 20.0]];
    $now = adjusted(['e' => null], ['e' => null], [
        Reading::face('face', 0.5, 'e', $square),
        Reading::offset('xz', 1.0, 'e', 'datum', [0 => 0.0, 2 => 0.0]),
    ]);
    expect($now->axisSd('e')[0])->toBeClose(rad2deg(0.5 / 40), 1e-4)->and($now->axisSd('e')[1])->toBeClose(rad2deg(0.5 / 40), 1e-4);
});

it('is as sure of an axis as its dip, and sideways by the cosine of it', function () {
    $now = adjusted(['e' => Xyz::ZERO], ['e' => null], [
        Reading::dip('dip', 0.3, 'e', 40.0),
        Reading::bearing('bearing', 0.3, 'e', 25.0, 0.0),
    ]);
    expect($now->axisSd('e')[0])->toBeClose(0.3, 1e-6)->and($now->axisSd('e')[1])->toBeClose(0.3 * cos(deg2rad(40)), 1e-6);
});

it('promises the scatter that simulated readings have', function () {
    mt_srand(7);
    $normal = static fn (): float => sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
    $anchors = ['a' => [0.0, 0.0, 0.0], 'b' => [-420.0, 0.0, 10.0], 'c' => [-200.0, 560.0, -30.0], 'd' => [-180.0, 260.0, 330.0]];
    $true = [-150.0, 300.0, -260.0];
    $places = $promised = [];
    $chi = 0.0;
    for ($i = 0; $i < 400; $i++) {
        $now = adjusted([...$anchors, 'p' => null], [], array_map(
            static fn (string $name): Reading => Reading::tape("to $name", 1.5, $name, 'p', Xyz::length(Xyz::minus($true, $anchors[$name])) + 1.5 * $normal()),
            array_keys($anchors),
        ));
        $places[] = $now->estimate->places['p'];
        $promised = $now->sd('p');
        $chi += $now->equations->chiSquare / 400;
    }
    foreach ([0, 1, 2] as $axis) {
        $mean = array_sum(array_column($places, $axis)) / 400;
        $square = array_sum(array_map(static fn (array $at): float => ($at[$axis] - $mean) ** 2, $places)) / 399;
        expect(sqrt($square))->toBeClose($promised[$axis], 0.1);
    }
    // One number more than is needed: chi-square is one on the mean.
    expect($chi)->toBeClose(1.0, 0.2);
});

it('walks a run as every other part of the program does', function () {
    $bends = [['length' => 139.4, 'rotation' => -44.5, 'angle' => 43.9, 'clr' => 60.0], ['length' => 155.8, 'rotation' => -75.6, 'angle' => 73.8, 'clr' => 60.0]];
    $axis = Xyz::unit([0.1, 0.9, -0.35]);
    [$end, $travel] = (new Chain($bends, 97.0))->end([1.0, 2.0, 3.0], $axis);
    $run = new TubeRun(
        Frame::facing(new Vector(1.0, 2.0, 3.0), new Vector(...$axis), new Vector(0, 0, 1)),
        array_map(static fn (array $one): Bend => new Bend($one['length'], $one['rotation'], $one['angle'], $one['clr']), $bends),
        97.0,
    );
    expect($run->end()->at->distanceTo(new Vector(...$end)))->toBeLessThan(1e-9)
        ->and($run->end()->forward->distanceTo(new Vector(...$travel)))->toBeLessThan(1e-12);
});

it('leaves so much that 95 of 100 runs can be cut to fit, and names the reading that makes the doubt', function () {
    $now = adjusted(['e' => Xyz::ZERO, 'f' => null], ['e' => null, 'f' => [-1.0, 0.0, 0.0]], [
        Reading::rod('rod of e', 1.0, 'e', [[25.0, 0.0, 0.0], [225.0, 0.0, 0.0]]),
        Reading::offset('f', 0.5, 'f', 'datum', [702.0, 0.0, 0.0]),
    ]);
    $gap = ClosingGap::of($now, 'e', 'f', new Chain([], 700.0));
    expect($gap->along)->toBeClose(2.0, 1e-6)
        ->and($gap->alongSd)->toBeClose(0.5, 1e-6)
        ->and($gap->trimMm())->toBeClose(1.6449 * 0.5, 1e-6)
        // 0.28° from a rod of 200 mm is some 3 mm sideways after 700: the rod is what to read again.
        ->and($gap->retake['reading'] ?? '')->toBe($now->equations->observations[0]->reading);
});
