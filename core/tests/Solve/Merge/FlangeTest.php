<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Merge\Flange\Disc;
use UpsweptBead\Core\Solve\Merge\Flange\Flange;
use UpsweptBead\Core\Solve\Merge\Flange\Hull;
use UpsweptBead\Core\Solve\Merge\Flange\Path;
use UpsweptBead\Core\Tests\Support\Some;

/** @param  list<array{float, float, float}>  $discs */
function hullRound(array $discs): Path
{
    $all = array_map(static fn (array $one): Disc => new Disc(...$one), $discs);

    return Hull::round($all === [] ? throw new LogicException('none') : $all);
}

it('lays a ring round a port without studs', function () {
    $ring = new Flange(hullRound([[0, 0, 40]]), Path::circle(0, 0, 22), [], 9.5);
    expect($ring->areaMm2())->toBeClose(M_PI * (40 ** 2 - 22 ** 2), 1e-6)
        ->and($ring->outline->asDisc()?->radiusMm)->toBeClose(40.0);
});

// A belt round two equal pulleys: two half circles and the straights between them.
it('lays two equal discs round with half circles and straights', function () {
    expect(hullRound([[-30, 0, 10], [30, 0, 10]])->areaMm2())->toBeClose(M_PI * 100 + 60 * 20, 1e-9);
});

// Area of an open belt round pulleys of R and r at a distance d: arcs of π ± 2·asin((R−r)/d), straights of
// √(d²−(R−r)²).
it('makes the diamond of a two-bolt flange, straight where it touches both discs', function () {
    [$port, $bolt, $apart] = [30.0, 12.0, 45.0];
    $lean = asin(($port - $bolt) / $apart);
    $straight = sqrt($apart ** 2 - ($port - $bolt) ** 2);
    // Half of it: the middle disc's arc, the bolt's arc, and a trapezium on each side.
    $area = 2 * ($straight * ($port + $bolt) + $bolt ** 2 * (M_PI / 2 - $lean) + $port ** 2 * $lean);
    expect(hullRound([[0, 0, $port], [-$apart, 0, $bolt], [$apart, 0, $bolt]])->areaMm2())->toBeClose($area, 1e-9);
});

it('holds every disc and is no wider than it must be', function () {
    $dice = Some::dice(19);
    for ($turn = 0; $turn < 40; $turn++) {
        $discs = [];
        for ($i = 0; $i < $dice->getInt(2, 7); $i++) {
            $discs[] = [Some::between($dice, -60, 60), Some::between($dice, -60, 60), Some::between($dice, 3, 25)];
        }
        $hull = hullRound($discs);
        foreach ($hull->points(3.0) as [$x, $y]) {
            // A point of the hull is on a disc, or on a straight between two; never inside one.
            $least = min(array_map(static fn (array $one): float => hypot($x - $one[0], $y - $one[1]) - $one[2], $discs));
            expect($least)->toBeGreaterThan(-1e-6);
        }
        for ($deg = 0; $deg < 360; $deg += 7) {
            [$c, $s] = [cos(deg2rad($deg)), sin(deg2rad($deg))];
            $reach = max(array_map(static fn (array $one): float => $one[0] * $c + $one[1] * $s + $one[2], $discs));
            $hullReach = max(array_map(static fn (array $one): float => $one[0] * $c + $one[1] * $s, $hull->points(0.5)));
            expect($hullReach)->toBeClose($reach, 0.0, 2e-3);
        }
    }
});

it('says where a tube stands over the edge, and by how much', function () {
    $narrow = new Flange(Path::rounded(50, 90, 5, 5), Path::circle(0, 0, 20), [], 9.5);
    [$over, $deg] = $narrow->overhang(56.0);
    expect($over)->toBeClose(3.0, 0.0, 0.02)->and(fmod($deg, 180.0))->toBeClose(90.0);
    expect($narrow->overhang(40.0)[0])->toBeClose(-5.0, 0.0, 0.02);
});

it('measures the least metal between a bolt hole and the tube', function () {
    $flange = new Flange(Path::circle(0, 0, 50), Path::circle(0, 0, 22), [Path::circle(0, 35, 4.5)], 9.5);
    expect($flange->webMm(44.0))->toBeClose(35 - 4.5 - 22)
        ->and($flange->webMm(50.0))->toBeClose(35 - 4.5 - 25);
});

it('has the area of every port shape as tables give it', function (Path $path, float $areaMm2) {
    expect(abs($path->areaMm2()))->toBeClose($areaMm2, 1e-9)
        ->and(abs($path->turned(33)->moved(4, -7)->areaMm2()))->toBeClose($areaMm2, 1e-9);
})->with([
    'circle' => [Path::circle(3, 4, 20), M_PI * 400],
    'oval' => [Path::rounded(60, 40, 20, 20), M_PI * 400 + 20 * 40],
    'D' => [Path::rounded(40, 50, 20, 0), M_PI * 200 + 40 * 30],
    'rectangle with corners' => [Path::rounded(50, 30, 6, 6), 1500 - (4 - M_PI) * 36],
    'sharp rectangle' => [Path::rounded(50, 30, 0, 0), 1500.0],
]);
