<?php

declare(strict_types=1);

use UpsweptBead\Core\Flatness\Face;
use UpsweptBead\Core\Flatness\FacePoint;

function someFace(float $limitMm = 0.1): Face
{
    return Face::ring(36.5, 46.5, $limitMm);
}

/**
 * @param  Closure(FacePoint): float  $height
 * @return array<string, float>
 */
function readAs(Closure $height, ?Face $face = null): array
{
    $readings = [];
    foreach (($face ?? someFace())->points as $point) {
        $readings[$point->name] = $height($point);
    }

    return $readings;
}

it('reads a face by the clock, midway on the land that seals', function () {
    [$top, $two] = someFace()->points;
    expect($top->label)->toBe('12 o’clock')
        ->and([$top->xMm, $top->yMm])->toEqualWithDelta([0.0, 41.5], 1e-9)
        ->and(atan2($two->xMm, $two->yMm))->toEqualWithDelta(M_PI / 3, 1e-9)
        ->and(count(someFace()->points))->toBe(6);
});

it('finds nothing in a tilt: how the flange lay on the plate does not count', function () {
    $found = someFace()->judge(readAs(static fn (FacePoint $p): float => 2.0 + 0.01 * $p->xMm - 0.02 * $p->yMm));
    expect($found?->peakToValleyMm)->toBeLessThan(1e-9)->and($found?->isFlat())->toBeTrue()->and($found?->takeDownMm)->toBe([]);
});

// By hand: cos 2φ at six points is 1, -½, -½, 1, -½, -½, which has no part of a plane but its mean, nought.
it('measures a saddle as it is, tilt or no tilt', function () {
    $saddle = static fn (FacePoint $p): float => 0.08 * cos(2 * atan2($p->xMm, $p->yMm));
    $tilted = static fn (FacePoint $p): float => $saddle($p) + 0.3 + 0.004 * $p->xMm;
    foreach ([$saddle, $tilted] as $height) {
        $found = someFace()->judge(readAs($height));
        expect($found?->peakToValleyMm)->toEqualWithDelta(0.12, 1e-9)
            ->and($found?->isFlat())->toBeFalse()
            ->and(array_keys($found->takeDownMm ?? []))->toBe(['at12', 'at6'])
            ->and($found?->takeDownMm['at12'])->toEqualWithDelta(0.02, 1e-9);
    }
});

it('is flat once what it says was taken down', function () {
    $readings = ['at12' => 0.21, 'at2' => 0.02, 'at4' => 0.0, 'at6' => 0.16, 'at8' => 0.03, 'at10' => 0.01];
    $found = someFace()->judge($readings);
    expect($found?->isFlat())->toBeFalse();
    for ($round = 0; $round < 4 && $found?->isFlat() === false; $round++) {
        foreach ($found->takeDownMm as $name => $mm) {
            $readings[$name] -= $mm;
        }
        $found = someFace()->judge($readings);
    }
    expect($found?->peakToValleyMm)->toBeLessThan(0.1 * 1.1);
});

it('does not judge by three points, through which there is always a plane', function () {
    expect(someFace()->judge(['at12' => 0.0, 'at4' => 0.4, 'at8' => 0.1]))->toBeNull()
        ->and(someFace()->judge(['at12' => 0.0, 'at4' => 0.4, 'at8' => 0.1, 'at6' => 0.0]))->not->toBeNull();
});

// Against the least zone (ISO 1101) found by trying many planes: peak to valley over the best fit is never below it, and
// for six points no more than a third above.
it('is near the least zone there is', function () {
    mt_srand(7);
    foreach (range(1, 20) as $case) {
        $readings = readAs(static fn (FacePoint $p): float => mt_rand(0, 200) / 1000);
        $least = INF;
        for ($i = -60; $i <= 60; $i++) {
            for ($j = -60; $j <= 60; $j++) {
                $rest = array_map(
                    static fn (FacePoint $p): float => $readings[$p->name] - ($i * $p->xMm + $j * $p->yMm) * 1e-4,
                    someFace()->points,
                );
                $least = min($least, max($rest) - min($rest));
            }
        }
        $found = someFace()->judge($readings)->peakToValleyMm ?? 0.0;
        expect($found)->toBeGreaterThan($least - 0.003)->and($found)->toBeLessThan(1.34 * $least + 0.003);
    }
});
