<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\Centreline;
use UpsweptBead\Core\Solve\Run\Clocking;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Tests\Support\NodeReference;
use UpsweptBead\Core\Tests\Support\Some;

it('ends where three.js ends when it follows the same rows', function () {
    $dice = Some::dice(11);
    $runs = array_map(static fn (int $i): TubeRun => Some::run($dice, $i % 6), range(0, 59));
    $answers = NodeReference::ask(
        'end-poses.mjs',
        array_map(
            static fn (TubeRun $run): array => [
                'start' => [
                    'at' => $run->start->at->toArray(),
                    'forward' => $run->start->forward->toArray(),
                    'reference' => $run->start->reference->toArray(),
                ],
                'bends' => array_map(
                    static fn (Bend $bend): array => [
                        'straight' => $bend->straightMm,
                        'rotation' => $bend->rotationDeg,
                        'angle' => $bend->angleDeg,
                        'clr' => $bend->clrMm,
                    ],
                    $run->bends,
                ),
                'endStraight' => $run->endStraightMm,
            ],
            $runs,
        ),
    );
    expect($answers)->toHaveCount(60);
    foreach ($runs as $i => $run) {
        $end = $run->end();
        expect($end->at->distanceTo(new Vector(...$answers[$i]['at'])))->toBeLessThan(1e-8)
            ->and($end->forward->distanceTo(new Vector(...$answers[$i]['forward'])))->toBeLessThan(1e-11)
            ->and($end->reference->distanceTo(new Vector(...$answers[$i]['reference'])))->toBeLessThan(1e-11);
    }
});

it('goes from rows to points and back unchanged', function (int $seed) {
    $dice = Some::dice($seed);
    $run = Some::run($dice, $dice->getInt(0, 5));
    $back = TubeRun::fromXyz(
        $run->toXyz(),
        array_map(static fn (Bend $bend): float => $bend->clrMm, $run->bends),
        $run->start->reference,
    );
    expect($back->endStraightMm)->toBeClose($run->endStraightMm, 0, 1e-6);
    foreach ($run->bends as $i => $bend) {
        expect($back->bends[$i]->straightMm)->toBeClose($bend->straightMm, 0, 1e-6)
            ->and($back->bends[$i]->angleDeg)->toBeClose($bend->angleDeg, 0, 1e-7)
            ->and($back->bends[$i]->rotationDeg)->toBeClose($bend->rotationDeg, 0, 1e-6);
    }
})->with(range(1, 40));

it('is shorter than its polyline by 2T − Rθ a bend', function (int $seed) {
    $run = Some::run(Some::dice($seed), 4);
    [$points, $polyline, $saved] = [$run->toXyz(), 0.0, 0.0];
    for ($i = 1; $i < count($points); $i++) {
        $polyline += $points[$i]->distanceTo($points[$i - 1]);
    }
    foreach ($run->bends as $bend) {
        $saved += 2 * $bend->setbackMm() - $bend->arcMm();
    }
    expect($run->lengthMm())->toBeClose($polyline - $saved, 1e-9);
})->with(range(1, 10));

it('moves with a rigid motion and keeps its rows', function (int $seed) {
    $dice = Some::dice($seed);
    $run = Some::run($dice, 3);
    $axis = Some::vector($dice, 1)->unit();
    $move = static fn (Vector $point): Vector => $point->turnedAbout($axis, 73)->plus(new Vector(10, -20, 30));
    $moved = TubeRun::fromXyz(
        array_map($move, $run->toXyz()),
        array_map(static fn (Bend $bend): float => $bend->clrMm, $run->bends),
        $run->start->reference->turnedAbout($axis, 73),
    );
    expect($moved->end()->at->distanceTo($move($run->end()->at)))->toBeLessThan(1e-6);
    foreach ($run->bends as $i => $bend) {
        expect($moved->bends[$i]->rotationDeg)->toBeClose($bend->rotationDeg, 0, 1e-5);
    }
})->with(range(1, 10));

it('mirrors into the same straights and angles with every turn the other way', function () {
    $run = Some::run(Some::dice(5), 3);
    $mirror = static fn (Vector $point): Vector => new Vector($point->x, -$point->y, $point->z);
    $mirrored = TubeRun::fromXyz(
        array_map($mirror, $run->toXyz()),
        array_map(static fn (Bend $bend): float => $bend->clrMm, $run->bends),
        $mirror($run->start->reference),
    );
    foreach ($run->bends as $i => $bend) {
        expect($mirrored->bends[$i]->rotationDeg)->toBeClose(-$bend->rotationDeg, 0, 1e-6)
            ->and($mirrored->bends[$i]->straightMm)->toBeClose($bend->straightMm, 0, 1e-6);
    }
});

it('finds the station of a frame along the centreline', function () {
    $run = Some::run(Some::dice(3), 3);
    foreach ([0.0, 0.2, 0.5, 0.8] as $share) {
        $here = $run->frameAt($share * $run->lengthMm());
        $ahead = $run->frameAt($share * $run->lengthMm() + 0.001);
        expect($ahead->at->minus($here->at)->times(1000)->distanceTo($here->forward))->toBeLessThan(1e-3);
    }
    expect($run->frameAt($run->lengthMm() + 5)->at->distanceTo($run->end()->at))->toBeLessThan(1e-9);
});

it('has the metal and bore volume of the mesh that manifold-3d builds', function () {
    $tube = Catalogue::shipped()->tube('T3.000x.065');
    $run = new TubeRun(
        Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)),
        [new Bend(93, 124, 45, 152.4), new Bend(433, -56, 90, 114.3)],
        74,
    );
    $mesh = NodeReference::ask('tube-volume.mjs', [
        'od' => $tube->odMm,
        'bore' => $tube->idMm(),
        'segments' => array_map(
            static fn ($segment): array => [
                'length' => $segment->lengthMm,
                'clr' => $segment->clrMm,
                'angle' => $segment->angleDeg,
            ],
            $run->segments(),
        ),
    ]);
    // 256 facets lose about 1e-4 of a circle's area.
    expect($tube->metalAreaMm2() * $run->lengthMm())->toBeClose($mesh['metal'], 3e-4)
        ->and($tube->boreAreaMm2() * $run->lengthMm())->toBeClose($mesh['bore'], 3e-4);
});

it('refuses points that make no run', function (array $points, array $radii, string $why) {
    expect(
        static fn () => TubeRun::fromXyz(
            array_map(static fn (array $xyz): Vector => new Vector(...$xyz), $points),
            $radii,
        ),
    )->toThrow(DomainException::class, $why);
})->with([
    'one point' => [[[0, 0, 0]], [], 'two ends'],
    'a radius too few' => [[[0, 0, 0], [100, 0, 0], [100, 100, 0]], [], 'one radius for every point'],
    'a corner that does not turn' => [[[0, 0, 0], [100, 0, 0], [200, 0, 0]], [50], 'Point 2 lies on a straight line; a vertex must turn'],
    'a leg shorter than its setback' => [[[0, 0, 0], [40, 0, 0], [40, 100, 0]], [50], 'Leg 1 is 10.00 mm too short'],
    'points that coincide' => [[[0, 0, 0], [0, 0, 0], [10, 0, 0]], [50], 'must not be zero'],
]);

it('gives half a turn no vertex', function () {
    (new TubeRun(Some::frame(Some::dice(1)), [new Bend(10, 0, 180, 50)], 10))->toXyz();
})->throws(DomainException::class, 'has no vertex');

// Check value of the trade: 30° round a 1 3/4 in tube is 0.458 in.
it('gives a turn as distance round the tube', function () {
    expect(Clocking::of(30, 44.45)->aroundMm / 25.4)->toBeClose(0.458, 0, 5e-4);
});

it('measures a bend longer outside and shorter inside: (R ± D/2)·θ', function () {
    $bend = new Bend(0, 0, 90, 114.3);
    expect($bend->edgeMm(38.1))->toBeClose((152.4 * M_PI) / 2)
        ->and($bend->edgeMm(-38.1))->toBeClose((76.2 * M_PI) / 2)
        ->and(($bend->edgeMm(38.1) + $bend->edgeMm(-38.1)) / 2)->toBeClose($bend->arcMm());
});

it('walks its centreline in steps no longer than asked, by every tangent point', function (int $seed) {
    $run = Some::run(Some::dice($seed), 3);
    $points = Centreline::of($run)->points(12.0);
    expect($points[0])->toEqual($run->start->at)
        ->and($points[count($points) - 1]->distanceTo($run->end()->at))->toBeLessThan(1e-6);
    $length = 0.0;
    foreach (array_slice($points, 1) as $i => $point) {
        expect($point->distanceTo($points[$i]))->toBeLessThanOrEqual(12.0 + 1e-9);
        $length += $point->distanceTo($points[$i]);
    }
    // Chords of 12 mm on a radius of 30 mm or more are at most 0.7 % short.
    expect($length)->toBeGreaterThan(0.993 * $run->lengthMm())->toBeLessThanOrEqual($run->lengthMm() + 1e-9);
})->with(range(1, 4));
