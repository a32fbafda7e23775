<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Mesh\MeshBuilder;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Scan\ScanCut;
use UpsweptBead\Core\Solve\Scan\ScanPose;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeScan;

it('brings tapped places to where they are known to be, however the scan lay', function () {
    $dice = Some::dice(21);
    for ($i = 0; $i < 100; $i++) {
        $frame = Some::frame($dice);
        $moved = static fn (Vector $one): Vector => $frame->at->plus($frame->forward->times($one->x))
            ->plus($frame->reference->times($one->y))->plus($frame->forward->cross($frame->reference)->times($one->z));
        $tapped = [Some::vector($dice, 300), Some::vector($dice, 300), Some::vector($dice, 300), Some::vector($dice, 300)];
        $pose = ScanPose::of($tapped, array_map($moved, $tapped));
        $other = Some::vector($dice, 500);
        expect($pose->place($other)->distanceTo($moved($other)))->toBeLessThan(1e-6)
            ->and(max($pose->offMm))->toBeLessThan(1e-6)
            // A move, not a mirror.
            ->and($pose->axes[0]->cross($pose->axes[1])->dot($pose->axes[2]))->toBeClose(1.0, 0, 1e-9);
    }
});

it('says how far each place is off where they do not agree', function () {
    $tapped = [new Vector(0, 0, 0), new Vector(400, 0, 0), new Vector(0, 300, 0), new Vector(200, 150, 80)];
    $known = $tapped;
    $known[3] = new Vector(200, 150, 86);
    $off = ScanPose::of($tapped, $known)->offMm;
    expect(max($off))->toBe($off[3])->and($off[3])->toBeGreaterThan(2.0)->toBeLessThan(6.0);
});

it('refuses places that say no turn', function (array $places) {
    $vectors = array_map(static fn (array $one): Vector => new Vector(...$one), $places);
    ScanPose::of($vectors, $vectors);
})->with([
    'two' => [[[0, 0, 0], [100, 0, 0]]],
    'three in a line' => [[[0, 0, 0], [100, 0, 0], [250, 1, 0]]],
])->throws(DomainException::class);

it('moves the whole scan, and cuts it to a room', function () {
    $dice = Some::dice(5);
    $port = Some::frame($dice);
    $mesh = SomeScan::mesh($port, 40.0, 0.0, $dice);
    $tapped = [new Vector(0, 0, 0), new Vector(400, 0, 0), new Vector(0, 300, 0)];
    $known = [new Vector(10, 20, 30), new Vector(10, 420, 30), new Vector(-290, 20, 30)];
    $pose = ScanPose::of($tapped, $known);
    $moved = $pose->moved($mesh);
    $place = $pose->place($port->at->plus($port->reference->times(30.0)));
    expect($moved->triangles())->toBe($mesh->triangles())->and($moved->distance($place->x, $place->y, $place->z))->toBeLessThan(1e-2);

    $half = ScanCut::to($mesh, $port->at->minus(new Vector(15, 15, 15)), $port->at->plus(new Vector(15, 15, 15)));
    expect($half->triangles())->toBeLessThan($mesh->triangles())->toBeGreaterThan(0)
        ->and(fn () => ScanCut::to($mesh, new Vector(5000, 5000, 5000), new Vector(5001, 5001, 5001)))
        ->toThrow(DomainException::class, 'Nothing of the scan');
});

it('finds all that lies in a ball', function () {
    $corners = [];
    foreach (range(0, 40) as $i) {
        array_push($corners, 10 * $i, 0, 0, 10 * $i + 5, 0, 0, 10 * $i, 5, 0);
    }
    $mesh = MeshBuilder::build(array_map(floatval(...), $corners));
    expect(intdiv(count($mesh->within(100, 0, 0, 12.0)), 9))->toBe(3)
        ->and($mesh->within(100, 500, 0, 12.0))->toBe([]);
});
