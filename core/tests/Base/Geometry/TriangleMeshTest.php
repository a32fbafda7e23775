<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Base\Geometry\Mesh\MeshBuilder;
use UpsweptBead\Core\Base\Geometry\Mesh\MeshSketch;
use UpsweptBead\Core\Base\Geometry\Mesh\TriangleMesh;
use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Search\Way;
use UpsweptBead\Core\Solve\Route\Search\WayClearance;
use UpsweptBead\Core\Tests\Support\NodeReference;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeMeshes;
use UpsweptBead\Core\Tests\Support\SomeSets;

$axes = [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)];

it('lies as far from bars, and holds the same points, as a mesh library says', function () {
    $dice = Some::dice(4);
    $bars = $points = [];
    for ($i = 0; $i < 10; $i++) {
        $from = Some::vector($dice, 150);
        $bars[] = [$from->toArray(), $from->plus(Some::vector($dice, 60))->toArray()];
        $points[] = Some::vector($dice, 90)->toArray();
    }
    // manifold-3d: bars with round ends of 32 facets, radius 2 mm.
    $answer = NodeReference::ask('mesh.mjs', ['bars' => $bars, 'points' => $points, 'radius' => 2]);
    $mesh = MeshBuilder::build(array_map(floatval(...), $answer['corners']));
    expect($mesh->isClosed)->toBeTrue();
    foreach ($bars as $i => [$from, $to]) {
        [$distance] = $mesh->distanceToLine(
            ...$from,
            ...[$to[0] - $from[0], $to[1] - $from[1], $to[2] - $from[2], 1000.0],
        );
        expect(max(0.0, $distance - 2.0))->toBeClose($answer['gaps'][$i], 0, 0.03);
    }
    foreach ($points as $i => $point) {
        expect($mesh->contains(...$point))->toBe($answer['inside'][$i]);
    }
});

it('measures a tube to a box of triangles as to the box itself, outside and inside', function (int $seed) use ($axes) {
    $dice = Some::dice($seed);
    $span = SomeSets::span(SomeSets::problem('08-inline-four'), 0, 0);
    $first = $span->port->at->plus($span->port->direction->times(150));
    $last = $span->inlet->at->minus($span->inlet->direction->times(150));
    $way = Way::of($span, [...$first->toArray(), ...$last->toArray()], [50.8, 50.8])->cut(Chords::FINE);
    $point = 3 * $dice->getInt(5, count($way->chords()->stations) - 6);
    $at = (new Vector(...array_slice($way->chords()->points, $point, 3)))->plus(
        Some::vector($dice, 1)->unit()->times(90),
    );
    $half = [40.0, 25.0, 30.0];
    $mesh = MeshBuilder::build(SomeMeshes::box($half));
    $asMesh = new MeshSolid('m', $mesh, $at, $axes, 60.0);
    $asBox = new Box('b', $at, $axes, $half, 60.0);
    $exact = WayClearance::solid($way, $asBox, 12.0, 0.0);
    // Where its axis itself runs through, how deep is told at a few places of each line only.
    $isThrough = $exact > 60.0 + $span->port->tube->odMm / 2;
    expect(WayClearance::solid($way, $asMesh, 12.0, 0.0))->toBeClose($exact, 0, $isThrough ? 3.0 : 0.03);
    for ($i = 0; $i < 50; $i++) {
        $p = $at->plus(Some::vector($dice, 60));
        $exact = $asBox->distance($p->x, $p->y, $p->z);
        expect($asMesh->distance($p->x, $p->y, $p->z))->toBeClose($exact, 0, 1e-3)
            ->and($asMesh->atLeast($p->x, $p->y, $p->z))->toBeLessThanOrEqual($exact + 1e-3);
    }
})->with(range(1, 6));

it('is found again from its packed bytes', function () {
    $mesh = MeshBuilder::build(SomeMeshes::ball(60, 1200));
    $again = TriangleMesh::unpacked($mesh->packed());
    expect($again->triangles())->toBe($mesh->triangles())
        ->and($again->isClosed)->toBeTrue()
        ->and($again->distance(100, 0, 0))->toBe($mesh->distance(100, 0, 0))
        ->and(fn () => TriangleMesh::unpacked(substr($mesh->packed(), 0, -1)))->toThrow(UnexpectedValueException::class)
        ->and(fn () => TriangleMesh::unpacked('something else altogether'))->toThrow(UnexpectedValueException::class);
});

it('has no inside when an edge is open', function () {
    $open = MeshBuilder::build(array_slice(SomeMeshes::box([10.0, 10.0, 10.0]), 9));
    expect($open->isClosed)->toBeFalse()->and($open->contains(0, 0, 0))->toBeFalse();
});

it('is drawn with few triangles, none far from its surface', function () {
    $mesh = MeshBuilder::build(SomeMeshes::ball(200, 50_000));
    $corners = MeshSketch::of($mesh, 5000);
    expect(count($corners) / 9)->toBeLessThanOrEqual(5000)->toBeGreaterThan(1500);
    foreach (array_chunk($corners, 900) as $some) {
        expect(hypot(hypot($some[0], $some[1]), $some[2]))->toBeClose(200, 0, 5);
    }
});
