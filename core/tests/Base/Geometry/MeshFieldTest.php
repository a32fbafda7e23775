<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Mesh\MeshBuilder;
use UpsweptBead\Core\Base\Geometry\Mesh\MeshField;
use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Search\RoughMesh;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeMeshes;

it('never tells more than the true distance where it says at least', function (int $seed) {
    $dice = Some::dice($seed);
    $half = [Some::between($dice, 8, 60), Some::between($dice, 8, 60), Some::between($dice, 8, 60)];
    $field = new MeshField(MeshBuilder::build(SomeMeshes::box($half)));
    $box = new Box('box', new Vector(0, 0, 0), [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)], $half);
    for ($i = 0; $i < 400; $i++) {
        $p = Some::vector($dice, 130);
        $true = $box->distance($p->x, $p->y, $p->z);
        expect($field->atLeast($p->x, $p->y, $p->z))->toBeLessThanOrEqual($true + 1e-4)
            ->and($field->bound($p->x, $p->y, $p->z, $true))->toBeLessThanOrEqual($true + 1e-4);
    }
})->with([1, 2, 3, 4]);

it('tells the distance between the points of its grid within half a millimetre, where tubes pass', function (
    int $seed,
) {
    $dice = Some::dice($seed);
    $field = new MeshField(MeshBuilder::build(SomeMeshes::ball(70, 9000)));
    for ($i = 0; $i < 300; $i++) {
        $p = Some::vector($dice, 1)->unit()->times(Some::between($dice, 95, 125));
        expect($field->between($p->x, $p->y, $p->z))->toBeClose($field->distance($p->x, $p->y, $p->z), 0, 0.5);
    }
})->with([1, 2]);

it('tells the nearest place of a line roughly in a search, and exactly in the proof', function (int $seed) {
    $dice = Some::dice($seed);
    $half = [30.0, 45.0, 20.0];
    $axes = [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)];
    $box = new Box('box', new Vector(0, 0, 0), $axes, $half);
    $mesh = new MeshSolid('mesh', MeshBuilder::build(SomeMeshes::box($half)), new Vector(0, 0, 0), $axes);
    $rough = new RoughMesh($mesh);
    for ($i = 0; $i < 40; $i++) {
        $from = Some::vector($dice, 1)->unit()->times(90);
        $way = Some::vector($dice, 40);
        [$true] = $box->along($from->x, $from->y, $from->z, $way->x, $way->y, $way->z, 60.0);
        if ($true < 22.0 || $true > 58.0) {
            continue;
        }
        expect($mesh->along($from->x, $from->y, $from->z, $way->x, $way->y, $way->z, 60.0)[0])
            ->toBeClose($true, 0, 0.01)
            ->and($rough->along($from->x, $from->y, $from->z, $way->x, $way->y, $way->z, 60.0)[0])
            ->toBeClose($true, 0, 0.6);
    }
})->with([1, 2, 3]);
