<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\DampedStep;
use UpsweptBead\Core\Tests\Support\Some;

/**
 * @param  list<list<float>>  $slopes
 * @return list<list<float>>
 */
function normalOf(array $slopes): array
{
    $size = count($slopes[0]);

    return array_map(
        static fn (int $i): array => array_map(
            static fn (int $j): float => array_sum(
                array_map(static fn (array $row): float => $row[$i] * $row[$j], $slopes),
            ),
            range(0, $size - 1),
        ),
        range(0, $size - 1),
    );
}

it('solves what is damped hardly at all as it stands', function () {
    // 2x + y = 5, x + 3y = 10 has x = 1, y = 3.
    [$x, $y] = DampedStep::of([[2.0, 1.0], [1.0, 3.0]], [5.0, 10.0], 1e-12, 0.0);
    expect($x)->toBeClose(1.0, 1e-9)->and($y)->toBeClose(3.0, 1e-9);
});

it('fits a straight line through points as the textbook formula does', function () {
    // Slope Σ(x−x̄)(y−ȳ)/Σ(x−x̄)², through the means.
    $points = [[0.0, 1.1], [1.0, 2.9], [2.0, 5.2], [3.0, 6.8]];
    $right = [
        array_sum(array_column($points, 1)),
        array_sum(array_map(static fn (array $p): float => $p[0] * $p[1], $points)),
    ];
    [$at, $slope] = DampedStep::of(
        normalOf(array_map(static fn (array $p): array => [1.0, $p[0]], $points)),
        $right,
        1e-12,
        0.0,
    );
    expect($slope)->toBeClose((-1.5 * (1.1 - 4) - 0.5 * (2.9 - 4) + 0.5 * (5.2 - 4) + 1.5 * (6.8 - 4)) / 5, 1e-9)
        ->and($at)->toBeClose(4 - 1.5 * $slope, 1e-9);
});

it('goes less far the more it is damped, and never uphill', function (int $seed) {
    $dice = Some::dice($seed);
    $slopes = array_map(static fn (): array => Some::vector($dice, 5)->toArray(), range(1, 6));
    $right = Some::vector($dice, 10)->toArray();
    $before = INF;
    foreach ([1e-6, 1e-2, 1.0, 100.0] as $damping) {
        $step = DampedStep::of(normalOf($slopes), $right, $damping, 1.0);
        $length = sqrt(array_sum(array_map(static fn (float $one): float => $one ** 2, $step)));
        expect($length)->toBeLessThan($before)
            ->and(array_sum(array_map(static fn (float $a, float $b): float => $a * $b, $step, $right)))
            ->toBeGreaterThan(0.0);
        $before = $length;
    }
})->with(range(1, 5));

it('leaves a value alone that nothing depends on', function () {
    [$x, $y] = DampedStep::of([[4.0, 0.0], [0.0, 0.0]], [8.0, 0.0], 1e-9, 1.0);
    expect($x)->toBeClose(2.0, 1e-6)->and($y)->toBe(0.0);
});
