<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\KeepOut\KeepOutKind;
use UpsweptBead\Core\Job\KeepOut\KeepOutShape;
use UpsweptBead\Core\Stage\Survey\TouchedKeepOut;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;

it('makes a bar of two points that were touched, a plane of three, a level box of four', function () {
    $at = static fn (float $x, float $y, float $z): Vector => new Vector($x, $y, $z);
    $job = Some::job();
    $bar = TouchedKeepOut::of($job, KeepOutKind::Steering, [$at(100, 200, 0), $at(400, 200, -50)], 19.0, 1.5);
    expect($bar->shape)->toBe(KeepOutShape::Capsule)
        ->and($bar->radius->mm)->toBe(11.0)
        ->and($bar->to[0]->mm)->toBe(400.0);

    // Wherever the three were touched, in whatever order: what is free is where the ports are.
    $far = [$at(0, -500, 0), $at(100, -500, 0), $at(0, -500, 80)];
    foreach ([$far, array_reverse($far)] as $points) {
        $plane = TouchedKeepOut::of($job, KeepOutKind::Frame, $points, 0.0, 2.0);
        expect($plane->shape)->toBe(KeepOutShape::HalfSpace)
            ->and($plane->direction->angleDegTo($at(0, 1, 0)))->toBeLessThan(1e-6)
            ->and($plane->at[1]->mm)->toBe(-498.0);
    }

    $turn = static fn (float $x, float $y, float $z): Vector => $at($x, $y, $z)->turnedAbout($at(0, 0, 1), 30.0)->plus($at(50, 60, 70));
    $box = TouchedKeepOut::of($job, KeepOutKind::Other, [$turn(0, 0, 0), $turn(300, 0, 0), $turn(0, 120, 0), $turn(0, 0, -80)], 0.0);
    $middle = $turn(150, 60, -40);
    expect($box->shape)->toBe(KeepOutShape::Box)
        ->and(array_map(static fn ($one): float => round($one->mm, 6), $box->size))->toBe([300.0, 120.0, 80.0])
        ->and($box->direction->angleDegTo($turn(1, 0, 0)->minus($turn(0, 0, 0))))->toBeLessThan(1e-5)
        ->and(hypot($box->at[0]->mm - $middle->x, $box->at[1]->mm - $middle->y))->toBeLessThan(1e-2)
        ->and($box->at[2]->mm)->toEqualWithDelta($middle->z, 1e-2);
});

it('refuses touched points that span nothing', function (array $points, float $diameterMm, string $why) {
    $vectors = array_map(static fn (array $one): Vector => new Vector(...$one), $points);
    expect(static fn () => TouchedKeepOut::of(Some::job(), KeepOutKind::Other, $vectors, $diameterMm))
        ->toThrow(DomainException::class, $why);
})->with([
    'one point' => [[[0, 0, 0]], 10.0, 'Touch two points'],
    'a bar without a diameter' => [[[0, 0, 0], [0, 0, 90]], 0.0, 'a diameter'],
    'three in a line' => [[[0, 0, 0], [10, 0, 0], [30, 0, 0]], 0.0, 'in one line'],
    'four in a plane' => [[[0, 0, 0], [100, 0, 0], [0, 90, 0], [100, 90, 0]], 0.0, 'in one plane'],
]);

it('takes the side that the ports face, where they lie in the plane themselves', function () {
    // The face of the head, touched beside the ports: they lie in it but for a hair, and face to the right.
    foreach ([-0.2, 0.2] as $offMm) {
        $face = [new Vector(-50, $offMm, 0), new Vector(400, $offMm, 0), new Vector(0, $offMm, 90)];
        $plane = TouchedKeepOut::of(SomeHeader::job(), KeepOutKind::Block, $face, 0.0);
        expect($plane->direction->y)->toEqualWithDelta(1.0, 1e-9);
    }
});

it('makes no box of what lies flat, however unsure its points are', function () {
    $flat = [new Vector(0, 0, 0), new Vector(100, 0, 0), new Vector(0, 90, 0), new Vector(100, 90, 0)];
    TouchedKeepOut::of(Some::job(), KeepOutKind::Other, $flat, 0.0, 5.0);
})->throws(DomainException::class, 'in one plane');
