<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\Centreline;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeWays;

/** Straight 100 along x, a bend of 90° on 50 to the left, straight 80. */
function hook(float $nearMm = 0.0, float $stepRad = Chords::FINE): Chords
{
    $start = Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0), new Vector(0, 1, 0));

    return Centreline::of(new TubeRun($start, [new Bend(100, 0, 90, 50)], 80))->chords(40.0, $nearMm, $stepRad);
}

it('runs from end to end, with a station for every point', function () {
    $chords = hook();
    expect($chords->lengthMm)->toBeClose(100 + 25 * M_PI + 80)
        ->and($chords->turningRad)->toBeClose(M_PI / 2)
        ->and(array_slice($chords->points, 0, 3))->toBe([0.0, 0.0, 0.0])
        ->and(end($chords->stations))->toBeClose($chords->lengthMm);
    [$x, $y, $z] = array_slice($chords->points, -3);
    expect($x)->toBeClose(150.0)
        ->and($y)->toBeClose(130.0)
        ->and($z)->toBeClose(0.0)
        ->and(count($chords->points))->toBe(3 * count($chords->stations))
        ->and($chords->piece)->toBe([0, 1, 2]);
});

it('keeps chords as far outside the arc as inside, the finer the nearer', function (float $step, float $within) {
    $chords = hook(0.0, $step);
    $centre = new Vector(100, 50, 0);
    [$in, $out] = [0.0, 0.0];
    foreach (range($chords->from[1], $chords->to[1] - 1) as $i) {
        $a = new Vector(...array_slice($chords->points, 3 * $i, 3));
        $b = new Vector(...array_slice($chords->points, 3 * $i + 3, 3));
        $out = max($out, $a->distanceTo($centre) - 50, $b->distanceTo($centre) - 50);
        // The first and the last chord begin on the arc itself.
        if ($i > $chords->from[1] && $i < $chords->to[1] - 1) {
            $in = max($in, 50 - $a->plus($b)->times(0.5)->distanceTo($centre));
        }
    }
    expect($out)->toBeClose($in, 0.02)->and($out)->toBeLessThan($within)->toBeGreaterThan(0.0);
})->with(['rough' => [Chords::ROUGH, 0.3], 'coarse' => [Chords::COARSE, 0.15], 'fine' => [Chords::FINE, 0.01]]);

it('begins the near zone where it is told, never too early', function (float $nearMm) {
    $chords = hook($nearMm, Chords::ROUGH);
    $begins = $chords->lengthMm - $nearMm;
    foreach ($chords->near as $i => $isNear) {
        [$from, $to] = [$chords->stations[$chords->from[$i]], $chords->stations[$chords->to[$i]]];
        expect($isNear ? $from >= $begins - 1e-6 : $from < $begins)->toBeTrue(
            "stretch $i from $from to $to, near from $begins",
        );
    }
    // What is let off covers the zone but for a part of one chord.
    $let = array_sum(
        array_map(
            static fn (int $i): float => $chords->near[$i]
                ? $chords->stations[$chords->to[$i]] - $chords->stations[$chords->from[$i]]
                : 0.0,
            array_keys($chords->near),
        ),
    );
    expect($let)->toBeLessThanOrEqual($nearMm + 1e-6)->toBeGreaterThan($nearMm - 50 * Chords::ROUGH - 1e-6);
})->with([
    'in the last straight' => 30.0,
    'where it begins' => 80.0,
    'in the bend' => 120.0,
    'in the first straight' => 200.0,
    'nowhere' => 0.0,
]);

it('gives points at equal steps', function () {
    $dots = array_chunk(hook(0.0, Chords::FINE)->dots(4), 3);
    expect($dots)->toHaveCount(5)
        ->and($dots[0])->toBe([0.0, 0.0, 0.0]);
    $length = 100 + 25 * M_PI + 80;
    // A quarter of the way lies on the first straight, three quarters on the last.
    expect($dots[1][0])->toBeClose($length / 4)
        ->and($dots[1][1])->toBeClose(0.0)
        ->and($dots[3][0])->toBeClose(150.0)
        ->and($dots[3][1])->toBeClose(130 - $length / 4);
});

it('is the same for a run as planned and for a way of the search', function (array $points) {
    $way = SomeWays::through('a', $points);
    $vectors = array_map(static fn (array $xyz): Vector => new Vector(...$xyz), $points);
    $run = TubeRun::fromXyz($vectors, array_fill(0, count($points) - 2, 50.0));
    $planned = Centreline::of($run)->chords(40.0, $way->span->collector->nearMm, Chords::ROUGH);
    $searched = $way->chords();
    expect($planned->piece)->toBe($searched->piece)->and($planned->near)->toBe($searched->near);
    foreach ($searched->points as $i => $coordinate) {
        expect($planned->points[$i])->toBeClose($coordinate, 0, 1e-9);
    }
})->with([
    'one bend' => [[[0, 0, 0], [200, 0, 0], [200, 200, 0]]],
    'three bends in space' => [[[0, 0, 0], [200, 0, 0], [200, 200, 0], [200, 200, 180], [20, 190, 300]]],
]);

it('lays out what has no vertices too: a straight tube, and a half turn', function () {
    $start = Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0), new Vector(0, 1, 0));
    $straight = Centreline::of(new TubeRun($start, [], 300))->chords(40.0, 0.0, Chords::FINE);
    expect($straight->piece)->toBe([0])
        ->and(array_slice($straight->points, -3))->toBe([300.0, 0.0, 0.0]);
    $back = Centreline::of(new TubeRun($start, [new Bend(60, 0, 180, 50)], 60))->chords(40.0, 0.0, Chords::FINE);
    [$x, $y, $z] = array_slice($back->points, -3);
    expect($x)->toBeClose(0.0, 0, 1e-9)->and($y)->toBeClose(100.0)->and($z)->toBeClose(0.0, 0, 1e-9);
    // The first and last straight count even where there is none of them.
    $bare = Centreline::of(new TubeRun($start, [new Bend(0, 0, 90, 50), new Bend(0, 180, 90, 50)], 0))->chords(
        40.0,
        0.0,
        Chords::FINE,
    );
    expect($bare->piece)->toBe([1, 3]);
});

it('finds a place of a piece again on the run', function () {
    $dice = Some::dice(11);
    for ($i = 0; $i < 10; $i++) {
        $line = Centreline::of(Some::run($dice, 3));
        $chords = $line->chords(40.0, 0.0, Chords::FINE);
        foreach ($chords->from as $stretch => $first) {
            $point = new Vector(...array_slice($chords->points, 3 * $first, 3));
            expect(
                $line->placeOf($chords->piece[$stretch], $chords->share[$stretch])->distanceTo($point),
            )->toBeLessThan(1e-6);
        }
    }
});
