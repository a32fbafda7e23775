<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use UpsweptBead\Core\Account\Learning\Evidence;
use UpsweptBead\Core\Stage\Device\Rig;
use UpsweptBead\Core\Stage\Device\SimulatedThermometer;

/** A number between two, evenly. */
function numberBetween(Randomizer $dice, float $from, float $to): float
{
    return $from + ($to - $from) * $dice->getInt(0, 1_000_000) / 1e6;
}

/**
 * Seams of a shop in which everything cools so many times as slowly as is worked out, each measured at some time with a
 * probe that is off by up to 2 K.
 *
 * @return list<float> each as the rule would have had to be
 */
function cooledIn(float $pace, int $seams, int $seed): array
{
    $dice = new Randomizer(new Mt19937($seed));
    $cases = [];
    while (count($cases) < $seams) {
        $passes = [[numberBetween($dice, 30, 90), 250.0], [numberBetween($dice, 600, 1500), 45.0]];
        $truth = new SimulatedThermometer($passes, 20.0, null);
        $seconds = numberBetween($dice, 300, 1800);
        $read = $truth->at($seconds / $pace) + numberBetween($dice, -2, 2);
        $planned = $read < 25.0 ? null : Rig::cooling($passes, 20.0)->coolsTo($read);
        if ($planned !== null) {
            $cases[] = $seconds / $planned;
        }
    }

    return $cases;
}

it('learns how fast a draughty or a hot shop cools, with half the error left after 20 joints', function (float $pace) {
    $before = $after = 0.0;
    foreach (range(1, 100) as $seed) {
        $before += abs(log($pace));
        $after += abs(log(Evidence::of(cooledIn($pace, 20, $seed), 1.0)->value / $pace));
    }
    expect($after)->toBeLessThan($before / 2);
})->with([0.6, 0.75, 1.3, 1.8]);

it('knows when a seam is down to a temperature, as its own curve has it', function () {
    $passes = [[40.0, 250.0], [900.0, 45.0]];
    $rig = Rig::cooling($passes, 20.0);
    expect($rig->coolsTo(45.0))->toBeClose(900.0, 0, 1.0)
        ->and($rig->coolsTo(250.0))->toBeClose(40.0, 0, 1.0)
        ->and($rig->coolsTo(20.0))->toBeNull()
        // Newton's law between the two: half of the excess over the air in logarithms.
        ->and($rig->coolsTo(20.0 + sqrt(230.0 * 25.0)))->toBeClose(470.0, 0, 2.0);
});

it('knows what argon a step takes by the plan', function () {
    expect(Rig::purge(2.0, 7.0, 0.0)->argonL(120.0))->toBeClose(14.0)
        ->and(Rig::arc(60.0, 20.0, 5.0, 10, 13.0)->argonL(999.0))->toBeClose(13.0 * 250.0 / 60);
});

it('learns what leaks and long post-flows cost in argon, and how far gaps stand open', function (float $truth, float $shipped, float $spread) {
    $before = $after = 0.0;
    foreach (range(1, 100) as $seed) {
        $dice = new Randomizer(new Mt19937($seed));
        $cases = array_map(
            static fn (): float => $truth * exp($spread * (numberBetween($dice, -1, 1) + numberBetween($dice, -1, 1) + numberBetween($dice, -1, 1))),
            range(1, 20),
        );
        $before += abs(log($truth / $shipped));
        $after += abs(log(Evidence::of($cases, $shipped)->value / $truth));
    }
    expect($after)->toBeLessThan($before / 2);
})->with(['argon' => [1.45, 1.0, 0.2], 'gaps' => [0.35, 0.1, 0.4], 'tight gaps' => [0.04, 0.1, 0.4], 'shrink' => [16.0, 10.0, 0.25]]);
