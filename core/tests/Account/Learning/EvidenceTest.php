<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use UpsweptBead\Core\Account\Learning\Evidence;

/**
 * Cases of a made-up shop that lie around its true value as a bell curve, on logarithms; now and then one far off.
 *
 * @return list<float>
 */
function shopCases(float $truth, float $spread, int $count, int $seed, int $strayEvery = 0): array
{
    $dice = new Randomizer(new Mt19937($seed));
    $cases = [];
    for ($i = 1; $i <= $count; $i++) {
        [$one, $other] = [$dice->getInt(1, 1_000_000) / 1e6, $dice->getInt(1, 1_000_000) / 1e6];
        $bell = sqrt(-2 * log($one)) * cos(2 * M_PI * $other);
        $cases[] = $truth * exp($spread * $bell) * ($strayEvery > 0 && $i % $strayEvery === 0 ? 4.0 : 1.0);
    }

    return $cases;
}

it('at least halves the error of what the program comes with after 20 joints, in shop after shop', function (float $truth) {
    $before = $after = 0.0;
    foreach (range(1, 200) as $seed) {
        $learned = Evidence::of(shopCases($truth, 0.25, 20, $seed), 1.0);
        $before += abs(log($truth));
        $after += abs(log($learned->value / $truth));
    }
    expect($after)->toBeLessThan($before / 2);
})->with([0.7, 1.3, 1.6, 2.5]);

it('gets nearer the more is logged', function () {
    $errors = array_map(static function (int $count): float {
        $sum = 0.0;
        foreach (range(1, 200) as $seed) {
            $sum += abs(log(Evidence::of(shopCases(1.5, 0.25, $count, $seed), 1.0)->value / 1.5));
        }

        return $sum / 200;
    }, [1, 5, 20, 100]);
    expect($errors[0])->toBeGreaterThan($errors[1])
        ->and($errors[1])->toBeGreaterThan($errors[2])
        ->and($errors[2])->toBeGreaterThan($errors[3]);
});

it('is not led astray by a tablet that was left lying: one case in ten, four times as long', function () {
    $plain = $robust = 0.0;
    foreach (range(1, 100) as $seed) {
        $cases = shopCases(1.4, 0.2, 30, $seed, 10);
        $robust += abs(log(Evidence::of($cases, 1.0)->value / 1.4));
        $plain += abs(log(array_sum($cases) / count($cases) / 1.4));
    }
    expect($robust)->toBeLessThan($plain / 2);
});

it('tells the spread of single cases about as it is', function () {
    $learned = Evidence::of(shopCases(1.4, 0.2, 400, 7), 1.0);
    expect(log($learned->most / $learned->value))->toEqualWithDelta(0.2, 0.04)
        ->and($learned->least * $learned->most)->toEqualWithDelta($learned->value ** 2, 1e-9);
});

it('says nothing with fewer than five cases, and keeps to what there is with none', function () {
    expect(Evidence::of([2.0, 2.0, 2.0, 2.0], 1.0)->isEnough())->toBeFalse()
        ->and(Evidence::of([2.0, 2.0, 2.0, 2.0, 2.0], 1.0)->isEnough())->toBeTrue()
        ->and(Evidence::of([], 25.0)->value)->toBe(25.0)
        ->and(Evidence::of([-3.0], 25.0)->cases)->toBe(0)
        ->and(Evidence::of([30.0], 25.0)->value)->toBeGreaterThan(25.0)->toBeLessThan(30.01);
});

// Minutes are summed: jobs of cases whose mean is 30 take 30 a case, though half of them lie below 25 at the usual
// spread.
it('learns what adds up: the sum over many cases comes out', function () {
    $sum = $learned = 0.0;
    foreach (range(1, 20) as $seed) {
        $cases = shopCases(30 * exp(-0.6 ** 2 / 2), 0.6, 200, $seed);
        $sum += array_sum($cases) / 200 / 20;
        $learned += Evidence::of($cases, 25.0)->value / 20;
    }
    expect($learned)->toEqualWithDelta($sum, 0.02 * $sum)->toEqualWithDelta(30.0, 1.0);
});

it('counts a reading of no shrink as none, and does not drop it', function () {
    $half = Evidence::of([...array_fill(0, 30, 10.0), ...array_fill(0, 30, 0.0)], 10.0);
    expect($half->cases)->toBe(60)->and($half->value)->toEqualWithDelta(5.0, 0.1)
        ->and(Evidence::of(array_fill(0, 60, 0.0), 10.0)->value)->toBeLessThan(0.5);
});
