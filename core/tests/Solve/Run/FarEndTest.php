<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\CorrectionKind;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Tests\Support\Some;

/** @param  callable(Bend): Bend  $change */
function withBend(TubeRun $run, int $index, callable $change): TubeRun
{
    $bends = $run->bends;
    $bends[$index] = $change($bends[$index]);

    return new TubeRun($run->start, array_values($bends), $run->endStraightMm);
}

it('is closed where the run ends', function () {
    $run = Some::run(Some::dice(1), 3);
    $end = FarEnd::of($run, $run->end());
    expect($end->isClosed())->toBeTrue()->and($end->best)->toBeNull();
});

it('is closed only if both the place and the direction are met', function () {
    $run = Some::run(Some::dice(4), 2);
    $end = $run->end();
    $aside = $end->advanced(5);
    $turned = Frame::facing($end->at, $end->forward->turnedAbout($end->reference, 4));
    expect(FarEnd::of($run, $aside)->angleDeg)->toBeClose(0.0, 0, 1e-9)
        ->and(FarEnd::of($run, $aside)->isClosed())->toBeFalse()
        ->and(FarEnd::of($run, $turned)->gapMm)->toBeClose(0.0, 0, 1e-9)
        ->and(FarEnd::of($run, $turned)->angleDeg)->toBeClose(4.0)
        ->and(FarEnd::of($run, $turned)->isClosed())->toBeFalse();
});

it('splits the gap into the part along the target’s axis and the part across it', function () {
    $run = Some::run(Some::dice(2), 2);
    $target = $run->end()->advanced(7);
    $end = FarEnd::of($run, $target);
    expect($end->gapMm)->toBeClose(7.0, 0, 1e-9)
        ->and($end->alongMm)->toBeClose(7.0, 0, 1e-9)
        ->and($end->acrossMm)->toBeClose(0.0, 0, 1e-9);
});

it('names the one turn that puts right a joint that was clocked wrong', function (int $seed) {
    $run = Some::run(Some::dice($seed), 3);
    $wrong = withBend($run, 1, static fn (Bend $bend): Bend => $bend->with(rotationDeg: $bend->rotationDeg + 11));
    $best = FarEnd::of($wrong, $run->end())->best;
    expect($best?->kind)->toBe(CorrectionKind::Turn)
        ->and($best?->index)->toBe(1)
        ->and($best?->amount)->toBeClose(-11.0, 0, 1e-6)
        ->and($best?->leaves->gapMm)->toBeLessThan(1e-6);
})->with(range(1, 8));

it('names the one trim that puts right a straight that was cut wrong', function (int $seed) {
    $run = Some::run(Some::dice($seed), 3);
    $wrong = withBend($run, 2, static fn (Bend $bend): Bend => $bend->with(straightMm: $bend->straightMm + 6));
    $best = FarEnd::of($wrong, $run->end())->best;
    expect($best?->kind)->toBe(CorrectionKind::Trim)
        ->and($best?->index)->toBe(2)
        ->and($best?->amount)->toBeClose(-6.0, 0, 1e-6);
})->with(range(1, 8));

it('never proposes a change that makes the far end worse, or a straight below nothing', function (int $seed) {
    $dice = Some::dice($seed);
    $end = FarEnd::of($run = Some::run($dice, 3), Some::frame($dice));
    if ($end->best !== null) {
        expect($end->best->badness())->toBeLessThan($end->badness());
        if ($end->best->kind === CorrectionKind::Trim) {
            expect($run->straightsMm()[$end->best->index] + $end->best->amount)->toBeGreaterThanOrEqual(0.0);
        }
    }
    expect($end->gapMm)->toBeGreaterThan(0.0);
})->with(range(1, 12));

it('weighs ten millimetres of gap like one degree when it turns a joint', function () {
    // One bend of 90° and a leg of 100 mm: turning the joint by t moves the end along a circle of 176.2 mm about its
    // axis and turns the end's direction by t as well. A target 5° round in place and 0° in direction is met best where
    // both pulls are even.
    $run = new TubeRun(
        Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)),
        [new Bend(50, 0, 90, 76.2)],
        100,
    );
    $end = $run->end();
    $axis = new Vector(1, 0, 0);
    $reach = $end->at->squareTo($axis)->length();
    $target = Frame::facing($end->at->turnedAbout($axis, 5), $end->forward);
    $best = FarEnd::of($run, $target)->best;
    // Small turns: minimise (reach·(5° − t))² + (10 mm/° · t)², reach in mm a degree.
    $mmPerDeg = ($reach * M_PI) / 180;
    expect($reach)->toBeClose(176.2, 1e-9)
        ->and($best?->kind)->toBe(CorrectionKind::Turn)
        ->and($best?->amount)->toBeClose((5 * $mmPerDeg ** 2) / ($mmPerDeg ** 2 + 10 ** 2), 0.01);
});

it('proposes nothing where it would gain less than can be measured', function (float $gainMm, bool $proposes) {
    // A straight tube that ends beside its target and a little short: only the shortness can be put right.
    $run = new TubeRun(Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)), [], 100);
    $aside = 3.0;
    $short = sqrt(($aside + $gainMm) ** 2 - $aside ** 2);
    $target = Frame::facing(new Vector(100 + $short, $aside, 0), new Vector(1, 0, 0));
    expect(FarEnd::of($run, $target)->best !== null)->toBe($proposes);
})->with([[0.04, false], [0.06, true]]);
