<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Looks\Row;

/** @return list<Vector> 25 points of a straight tube 480 mm long, out along y */
function straightFrom(float $x, float $lean = 0.0): array
{
    return array_map(static fn (int $i): Vector => new Vector($x + ($lean * $i) / 24, 20.0 * $i, 0), range(0, 24));
}

it('takes ports next to each other along a row for neighbours, and no two of different banks', function () {
    $bank = static fn (float $y): array => array_map(
        static fn (int $i): Vector => new Vector(95.0 * $i, $y, 0),
        range(0, 3),
    );
    expect(Row::of($bank(0))->pairs)->toBe([[0, 1], [1, 2], [2, 3]])
        ->and(Row::of([...$bank(-210), ...$bank(210)])->pairs)->toBe([[0, 1], [1, 2], [2, 3], [4, 5], [5, 6], [6, 7]])
        // In whatever order they were written down.
        ->and(count(Row::of([$bank(0)[2], $bank(0)[0], $bank(0)[3], $bank(0)[1]])->pairs))->toBe(3);
});

it('finds no spread where all neighbours keep one gap, and the difference where one pair keeps less', function () {
    $row = Row::of([new Vector(0, 0, 0), new Vector(100, 0, 0), new Vector(200, 0, 0)]);
    $od = [40.0, 40.0, 40.0];
    expect($row->gapSpreadMm([straightFrom(0), straightFrom(100), straightFrom(200)], $od))->toBeClose(0.0, 0, 1e-9)
        // The third stands 12 mm nearer all along.
        ->and($row->gapSpreadMm([straightFrom(0), straightFrom(100), straightFrom(188)], $od))->toBeClose(12.0, 0, 1e-9)
        // A thicker first tube takes half of what it is thicker by from its gap.
        ->and($row->gapSpreadMm([straightFrom(0), straightFrom(100), straightFrom(200)], [50.0, 40.0, 40.0]))
        ->toBeClose(5.0, 0, 1e-9)
        // One that leans over by 20 mm comes nearer to the one beside it by half of that on average.
        ->and($row->gapSpreadMm([straightFrom(0), straightFrom(100), straightFrom(200, -20)], $od))
        ->toBeClose(10.0, 0, 0.3);
});

it('compares nothing where there are no two pairs', function () {
    expect(
        Row::of([new Vector(0, 0, 0), new Vector(100, 0, 0)])->gapSpreadMm(
            [straightFrom(0), straightFrom(100)],
            [40.0, 40.0],
        ),
    )->toBeNull();
});
