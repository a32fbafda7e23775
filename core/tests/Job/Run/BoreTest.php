<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Run\Bore;
use UpsweptBead\Core\Job\Run\BoreShape;

function bore(BoreShape $shape, float $width, float $height, float $corner = 0.0, float $turn = 0.0): Bore
{
    return new Bore($shape, Length::ofMm($width), Length::ofMm($height), Length::ofMm($corner), $turn);
}

it('knows the area and the way round of each shape of port', function (Bore $bore, float $area, float $around) {
    expect($bore->areaMm2())->toBeClose($area, 1e-9)->and($bore->aroundMm())->toBeClose($around, 1e-9);
})->with([
    'round' => [bore(BoreShape::Round, 40, 40), M_PI * 400, M_PI * 40],
    // 30 wide, two half circles of 30 and 20 mm of straight between them.
    'oval, upright' => [bore(BoreShape::Oval, 30, 50), M_PI * 225 + 600, M_PI * 30 + 40],
    'oval, lying' => [bore(BoreShape::Oval, 50, 30), M_PI * 225 + 600, M_PI * 30 + 40],
    'an oval as wide as high is round' => [bore(BoreShape::Oval, 40, 40), M_PI * 400, M_PI * 40],
    'D' => [bore(BoreShape::D, 40, 35), 40 * 15 + M_PI * 200, 40 + 30 + M_PI * 20],
    'rectangle' => [bore(BoreShape::Rectangle, 40, 30), 1200, 140],
    'rectangle with rounded corners' => [
        bore(BoreShape::Rectangle, 40, 30, 5),
        1200 - (4 - M_PI) * 25,
        140 - (8 - 2 * M_PI) * 5,
    ],
    'a rectangle rounded all through is an oval' => [
        bore(BoreShape::Rectangle, 50, 30, 15),
        M_PI * 225 + 600,
        M_PI * 30 + 40,
    ],
]);

it('is drawn as large as it is', function (Bore $bore) {
    $line = $bore->outline(Frame::facing(new Vector(10, 20, 30), new Vector(0, 1, 0)));
    $around = $twice = 0.0;
    foreach ($line as $i => $point) {
        $next = $line[($i + 1) % count($line)];
        $around += $point->distanceTo($next);
        // Shoelace, seen along y.
        $twice += ($point->x - 10) * ($next->z - 30) - ($next->x - 10) * ($point->z - 30);
        expect($point->y)->toBeClose(20.0, 0, 1e-9);
    }
    expect($around)->toBeClose($bore->aroundMm(), 0.005)
        ->and(abs($twice) / 2)->toBeClose($bore->areaMm2(), 0.005);
})->with([
    [bore(BoreShape::Round, 40, 40)],
    [bore(BoreShape::Oval, 30, 50, 0, 30)],
    [bore(BoreShape::D, 40, 35, 0, 90)],
    [bore(BoreShape::Rectangle, 40, 30, 6)],
]);

it('stands with its height straight up, or turned clockwise looking with the flow', function () {
    $top = static fn (float $turn): Vector => array_reduce(
        bore(BoreShape::Oval, 30, 60, 0, $turn)->outline(Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0))),
        static fn (?Vector $best, Vector $one): Vector => $best === null || $one->length() > $best->length() + 1e-9
            ? $one
            : $best,
    );
    expect(abs($top(0)->z))->toBeGreaterThan(29.0)->and(abs($top(90)->y))->toBeGreaterThan(29.0);
});
