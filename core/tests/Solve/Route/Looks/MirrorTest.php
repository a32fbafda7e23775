<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Looks\Mirror;
use UpsweptBead\Core\Tests\Support\Some;

/**
 * Two banks of two, 400 mm apart, the right one further back by some mm.
 *
 * @return list<array{Vector, Vector}>
 */
function banks(float $stagger): array
{
    $ports = [];
    foreach ([-1.0, 1.0] as $side) {
        foreach ([0.0, 100.0] as $x) {
            $ports[] = [
                new Vector($x + ($side > 0 ? $stagger : 0), 200 * $side, 0),
                (new Vector(0, $side, -1))->unit(),
            ];
        }
    }

    return $ports;
}

it('finds the plane between two banks, also where one stands further back', function (float $stagger) {
    $mirror = Mirror::of(banks($stagger), [new Vector(600, -30, -200), new Vector(600, 30, -200)]);
    expect(abs($mirror->normal->y))->toBeClose(1.0, 0, 1e-9)
        ->and($mirror->point->y)->toBeClose(0.0, 0, 1e-9)
        ->and($mirror->partner)->toBe([2, 3, 0, 1])
        ->and($mirror->image(new Vector(5, 7, 9)))->toEqual(new Vector(5, -7, 9));
})->with([0.0, 18.0]);

it('finds it however the engine stands in the axes', function (int $seed) {
    $dice = Some::dice($seed);
    [$axis, $angle, $by] = [Some::vector($dice, 1)->unit(), Some::between($dice, 10, 170), Some::vector($dice, 400)];
    $turned = static fn (Vector $one): Vector => $one->turnedAbout($axis, $angle);
    $mirror = Mirror::of(
        array_map(static fn (array $port): array => [$turned($port[0])->plus($by), $turned($port[1])], banks(0)),
        array_map(static fn (Vector $end): Vector => $turned($end)->plus($by), [
            new Vector(600, -30, -200),
            new Vector(600, 30, -200),
        ]),
    );
    expect(abs($mirror->normal->dot($turned(new Vector(0, 1, 0)))))->toBeClose(1.0, 0, 1e-9)
        ->and($mirror->partner)->toBe([2, 3, 0, 1]);
})->with([1, 2, 3]);

it('takes one row for no two banks, nor banks whose tubes end all on one side', function () {
    $row = array_map(static fn (int $i): array => [new Vector(95.0 * $i, 0, 0), new Vector(0, 1, 0)], range(0, 3));
    expect(Mirror::of($row, [new Vector(140, 300, -200), new Vector(145, 300, -200)]))->toBeNull()
        ->and(Mirror::of(banks(0), [new Vector(600, 300, -200), new Vector(600, 340, -200)]))->toBeNull();
});

it('tells how far one bank lies from the image of the other', function () {
    $mirror = Mirror::of(banks(0), [new Vector(600, 0, -200)]);
    $line = static fn (float $x, float $side, float $off): array => array_map(
        static fn (int $i): Vector => new Vector($x, $side * (200 + 10 * $i) + $off, -10.0 * $i),
        range(0, 24),
    );
    $lines = [$line(0, -1, 0), $line(100, -1, 0), $line(0, 1, 0), $line(100, 1, 0)];
    expect($mirror->errorMm($lines))->toBeClose(0.0, 0, 1e-9);
    $lines[3] = $line(100, 1, 7);
    expect($mirror->errorMm($lines))->toBeClose(7.0, 0, 1e-9);
});
