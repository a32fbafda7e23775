<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\Capsule;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Insertion\Line;
use UpsweptBead\Core\Solve\Route\Insertion\Sweep;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeWays;

/** @param  list<array{float|int, float|int, float|int}>  $points */
function lineThrough(string $id, array $points): Line
{
    return Line::of($id, SomeWays::through($id, $points)->chords());
}

/** @return list<Vector> points of a line, close enough that a tube of 40 mm shows no gap between them */
function dotted(Line $line): array
{
    $dots = [];
    $points = array_map(static fn (array $xyz): Vector => new Vector(...$xyz), array_chunk($line->points, 3));
    foreach (array_slice($points, 1) as $i => $to) {
        $steps = max(1, (int) ceil($points[$i]->distanceTo($to) / 3.0));
        for ($k = 0; $k < $steps; $k++) {
            $dots[] = $points[$i]->plus($to->minus($points[$i])->times($k / $steps));
        }
    }

    return [...$dots, $points[count($points) - 1]];
}

/** The least distance of two tubes' axes while the first is drawn off, by moving it on 4 mm at a time. */
function leastWhileDrawn(Line $p, Line $q, Vector $along): float
{
    $least = INF;
    $there = dotted($q);
    foreach (dotted($p) as $dot) {
        foreach ($there as $other) {
            // Where the moving point passes nearest: ahead of it only.
            $ahead = max(0.0, $other->minus($dot)->dot($along));
            $least = min($least, $dot->plus($along->times($ahead))->distanceTo($other));
        }
    }

    return $least;
}

it('says that a tube is in the way just when moving the other a little at a time runs into it', function () {
    $dice = Some::dice(5);
    $p = lineThrough('p', [[0, 0, 0], [0, 150, 0], [200, 150, 0], [200, 0, 0]]);
    [$blocked, $free, $close] = [0, 0, 0];
    for ($i = 0; $i < 60; $i++) {
        $at = Some::vector($dice, 350);
        $q = lineThrough('q', [
            $at->toArray(),
            $at->plus(new Vector(0, 0, 160))->toArray(),
            $at->plus(new Vector(150, 0, 160))->toArray(),
        ]);
        $along = Some::vector($dice, 1)->unit();
        $least = leastWhileDrawn($p, $q, $along);
        if (Sweep::tubesMeet($p, $q)) {
            continue;
        }
        if (abs($least - 39.5) < 1.0) {
            $close++; // Too close for dots 3 mm apart to tell.

            continue;
        }
        expect(Sweep::tubeBlocks($p, $q, $along->toArray()))->toBe($least < 39.5);
        $least < 39.5 ? $blocked++ : $free++;
    }
    expect(min($blocked, $free))->toBeGreaterThan(5)->and($close)->toBeLessThan(10);
});

it('does not mind what lies behind', function () {
    $p = lineThrough('p', [[0, 0, 0], [0, 150, 0], [200, 150, 0]]);
    $q = lineThrough('q', [[0, -120, -100], [0, -120, 60], [150, -120, 60]]);
    expect(Sweep::tubeBlocks($p, $q, [0.0, 1.0, 0.0]))->toBeFalse()
        ->and(Sweep::tubeBlocks($p, $q, [0.0, -1.0, 0.0]))->toBeTrue();
});

it('lets a tube that stands close be drawn away, but not further in', function () {
    $line = lineThrough('p', [[0, 0, 0], [0, 150, 0], [200, 150, 0]]);
    $beside = new Box(
        'block',
        new Vector(-69, 75, 0),
        [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)],
        [50.0, 300.0, 300.0],
    );
    // Its face at −19 mm: 1 mm into the tube of 20 mm radius.
    expect(Sweep::meetsSolid($line, $beside))->toBeTrue()
        ->and(Sweep::solidBlocks($line, $beside, [1.0, 0.0, 0.0]))->toBeFalse()
        ->and(Sweep::solidBlocks($line, $beside, [-1.0, 0.0, 0.0]))->toBeTrue();
});

it('finds a solid that lies ahead, and passes one beside', function (KeepOut $solid, bool $isAhead) {
    $line = lineThrough('p', [[0, 0, 0], [0, 150, 0], [200, 150, 0]]);
    expect(Sweep::meetsSolid($line, $solid))->toBeFalse()
        ->and(Sweep::solidBlocks($line, $solid, [0.0, 0.0, 1.0]))->toBe($isAhead);
})->with([
    'a bar over the bend' => [new Capsule('bar', new Vector(-100, 130, 300), new Vector(300, 130, 300), 15.0), true],
    'a bar that misses by 5 mm' => [
        new Capsule('bar', new Vector(-100, 190, 300), new Vector(300, 190, 300), 15.0),
        false,
    ],
    'a bar behind' => [new Capsule('bar', new Vector(-100, 130, -300), new Vector(300, 130, -300), 15.0), false],
    'a bar that only the part at the port would meet, which is exempt' => [
        new Capsule('bar', new Vector(-100, 10, 300), new Vector(300, 10, 300), 5.0, null, 60.0),
        false,
    ],
]);
