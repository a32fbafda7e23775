<?php

declare(strict_types=1);

use UpsweptBead\Core\Fit\FitStep;
use UpsweptBead\Core\Fit\TackPattern;
use UpsweptBead\Core\Geometry\Frame;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Joint\IndexMark;
use UpsweptBead\Core\Joint\JointFace;
use UpsweptBead\Core\Plan\Plan;
use UpsweptBead\Core\Plan\Planner;
use UpsweptBead\Core\Route\Insertion\Step;
use UpsweptBead\Core\Run\Bend;
use UpsweptBead\Core\Run\Centreline;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

/** The example downpipe with a sensor on it: ring, two butts, flange inside and out, one bung. */
function withSensor(): Plan
{
    $document = JobWriter::toArray(Some::routedJob());
    $document['runs'][0]['fittings'] = [['kind' => 'oxygen-sensor-bung', 'station' => '14 in', 'fromTop' => 20]];

    return Planner::plan(
        JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'),
        Shop::bare(),
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
    expect(array_unique($marks))->toHaveCount(24)
        ->and($marks[0])->toBe('1 short stroke')
        ->and($marks[6])->toBe('1 long stroke, 2 short strokes');
});

it('fits bungs while their piece is open, then from the datum outwards', function () {
    $order = array_map(static fn (FitStep $step): string => $step->jointId, withSensor()->fit->steps);
    expect($order)->toBe(['AB1', 'AJ1', 'AJ2', 'AJ3', 'AJ4']);
});

it('gives a reason for every move', function () {
    $why = array_map(static fn (FitStep $step): string => $step->why, withSensor()->fit->steps);
    expect($why[0])->toContain('still open')
        ->and($why[1])->toContain('The datum')
        ->and($why[2])->toContain('outwards')
        ->and($why[4])->toContain('closing joint');
});

it('builds a set in the order its runs go in, and says how each gets past the others', function () {
    $plan = Planner::planInFull(SomeRoutedSets::header(), Shop::bare());
    $order = array_map(static fn (Step $step): string => $step->tube, $plan->fit->insertion->order ?? []);
    expect($plan->fit->letters)->toBe($order)->and($order)->toHaveCount(4);
    $first = array_values(
        array_filter($plan->fit->steps, static fn (FitStep $step): bool => str_ends_with($step->jointId, 'J1')),
    );
    expect(array_map(static fn (FitStep $step): string => $step->run, $first))->toBe($order)
        ->and($first[0]->why)->toStartWith("Run $order[0] goes in first, ")
        ->and($first[2]->why)->toStartWith("Run $order[2] goes in after $order[0], $order[1], ")
        ->and($first[3]->why)->toStartWith("Run $order[3] goes in last, ");
});

it('keeps the order of the survey where nobody worked out another', function () {
    expect(Planner::plan(SomeRoutedSets::header(), Shop::bare())->fit->letters)->toBe(['E', 'F', 'G', 'H']);
});

it('says where up and the next throat line lie round a joint, from its index mark', function () {
    // A level run along x whose reference is straight up, a bend to its right, then a turn of 90° clockwise.
    $run = new TubeRun(
        Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)),
        [new Bend(100, -90, 90, 76), new Bend(100, 90, 45, 76)],
        50,
    );
    expect(JointFace::of(Centreline::of($run), 50)->upDeg)->toBeClose(0.0, 0, 1e-9)
        ->and(JointFace::of(Centreline::of($run), 50)->nextThroatDeg)->toBeClose(-90.0)
        ->and(JointFace::of(Centreline::of($run), 250)->upDeg)->toBeClose(90.0)
        ->and(JointFace::of(Centreline::of($run), 250)->nextThroatDeg)->toBeClose(90.0)
        ->and(JointFace::of(Centreline::of($run), $run->lengthMm())->nextThroatDeg)->toBeNull();
    $upright = new TubeRun(Frame::facing(new Vector(0, 0, 0), new Vector(0, 0, 1)), [], 50);
    expect(JointFace::of(Centreline::of($upright), 20)->upDeg)->toBeNull();
});

it('goes across and then to the places furthest from it', function (float $inches, array $order) {
    expect(TackPattern::forTube($inches * 25.4, 1.651)->fullDeg)->toEqual($order);
})->with([
    'four' => [1.5, [0, 180, 90, 270]],
    'six' => [3, [0, 180, 120, 300, 60, 240]],
    'eight' => [4, [0, 180, 90, 270, 45, 225, 135, 315]],
]);

it('drills for a bung before its weld, and for nothing else', function () {
    $do = [];
    foreach (withSensor()->steps as $step) {
        $do[$step->id] = implode(' ', $step->do);
    }
    expect($do['purge.AB1'])->toContain('drill')
        ->and($do['purge.AJ2'])->not->toContain('drill')
        ->and($do['purge.AJ1'])->not->toContain('drill');
});

it('lets the first piece turn in its ring, and bevels and faces it at a flange', function () {
    $why = static function (string $kind): string {
        $document = JobWriter::toArray(Some::routedJob());
        $document['runs'][0]['start']['kind'] = $kind;
        $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');

        return Planner::plan($job, Shop::bare())->fit->steps[0]->why;
    };
    expect($why('v-band'))->toContain('turn in the ring')
        ->and($why('v-band'))->not->toContain('Bevelled')
        ->and($why('flange'))->toContain('Bevelled')
        ->and($why('flange'))->not->toContain('ring');
});
