<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Mesh\NoMeshes;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\KeepOut\KeepOutKind;
use UpsweptBead\Core\Job\KeepOut\KeepOutShape;
use UpsweptBead\Core\Job\KeepOut\KeepOutSpec;
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

it('fills all that a lever sweeps, round the end that stays', function () {
    $pivot = new Vector(100, 50, -20);
    $arm = static fn (float $deg): Vector => $pivot->plus((new Vector(200, 0, 0))->turnedAbout(new Vector(0, 0, 1), $deg));
    $bars = TouchedKeepOut::moving(Some::job(), KeepOutKind::Other, [$pivot, $arm(0), $pivot, $arm(50)], 20.0, 1.0);
    $solids = array_map(static fn ($one) => $one->solid(0.0, 0.0, new NoMeshes) ?? throw new LogicException('no solid'), $bars);
    // Anywhere on the lever, at any moment between: never outside.
    foreach (range(0, 50) as $deg) {
        foreach ([0.0, 0.3, 0.7, 1.0] as $part) {
            $at = $pivot->plus($arm((float) $deg)->minus($pivot)->times($part));
            foreach ([-10.0, 10.0] as $besideMm) {
                $skin = $at->plus((new Vector(0, $besideMm, 0))->turnedAbout(new Vector(0, 0, 1), $deg));
                $inside = array_filter($bars, static fn ($bar): bool => nearBar($bar, $skin) <= $bar->radius->mm + 1e-6);
                expect($inside)->not->toBe([]);
            }
        }
    }
    expect(count($bars))->toBeLessThanOrEqual(10)->and(count($solids))->toBe(count($bars))
        ->and($bars[0]->name)->toContain('1 of '.count($bars))
        // Not much more than the lever itself.
        ->and($bars[0]->radius->mm)->toBeLessThan(16.0);
});

it('refuses a sweep that is none', function (array $points, float $diameterMm, string $why) {
    $vectors = array_map(static fn (array $one): Vector => new Vector(...$one), $points);
    expect(static fn () => TouchedKeepOut::moving(Some::job(), KeepOutKind::Other, $vectors, $diameterMm))
        ->toThrow(DomainException::class, $why);
})->with([
    'one position alone' => [[[0, 0, 0], [90, 0, 0]], 10.0, 'four points'],
    'a bar without length' => [[[0, 0, 0], [0, 0, 0], [0, 0, 50], [0, 50, 0]], 10.0, 'two points apart'],
    'a bar without a diameter' => [[[0, 0, 0], [90, 0, 0], [0, 0, 50], [90, 0, 50]], 0.0, 'a diameter'],
]);

/** How far a point is from the middle line of a bar, mm. */
function nearBar(KeepOutSpec $bar, Vector $point): float
{
    [$from, $to] = array_map(static fn (array $at): Vector => new Vector($at[0]->mm, $at[1]->mm, $at[2]->mm), [$bar->at, $bar->to]);
    $line = $to->minus($from);
    $part = max(0.0, min(1.0, $point->minus($from)->dot($line) / $line->dot($line)));

    return $point->distanceTo($from->plus($line->times($part)));
}
