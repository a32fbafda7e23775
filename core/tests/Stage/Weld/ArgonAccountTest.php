<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\Bottle;
use UpsweptBead\Core\Shop\Practice\BottleUse;
use UpsweptBead\Core\Shop\Practice\ShopReader;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Weld\ArgonAccount;
use UpsweptBead\Core\Tests\Support\Some;

function argon(float $torchKpa, float $purgeKpa): ArgonAccount
{
    return ArgonAccount::of(array_values(Some::plan()->weld->sheets), [
        new Bottle('T', BottleUse::Torch, 4000.0, 16_500.0, $torchKpa),
        new Bottle('P', BottleUse::Purge, 4000.0, 16_500.0, $purgeKpa),
    ]);
}

it('is enough only when both bottles are: one gauge does not feed the other hose', function () {
    expect(argon(16_500, 16_500)->isEnough())->toBeTrue()
        ->and(argon(400, 16_500)->isEnough())->toBeFalse()
        ->and(argon(16_500, 400)->isEnough())->toBeFalse();
});

it('names the room that all of it would spoil', function () {
    $argon = argon(16_500, 16_500);
    // Argon takes the place of as much air; air is 20.95 % oxygen, and 19.5 % is where oxygen deficiency begins [OSHA
    // 29 CFR
    // 1910.146, from memory].
    expect(1 - ($argon->torchL + $argon->purgeL) / $argon->roomL)->toBeClose(19.5 / 20.95, 1e-9)
        ->and($argon->caution(UnitSystem::Metric))->toContain('Argon suffocates')->toContain('19.5');
});

it('warns in the plan where the bottles on hand cannot finish the job, and only where there are any', function () {
    $warns = static function (array $bottles, bool $isRouted): bool {
        $shop = ShopReader::read(['format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'A shop', 'bottles' => $bottles], new Faults());
        $plan = Planner::plan($isRouted ? Some::routedJob() : Some::job(), $shop);

        return in_array('argon', array_column($plan->weld->notices, 'path'), true);
    };
    $bottle = static fn (string $use, int $gauge): array => [
        'name' => $use,
        'use' => $use,
        'capacity' => '4000 l',
        'full' => '16500 kPa',
        'gauge' => "$gauge kPa",
    ];
    expect($warns([$bottle('torch', 400), $bottle('purge', 400)], true))->toBeTrue()
        ->and($warns([$bottle('torch', 16_500), $bottle('purge', 16_500)], true))->toBeFalse()
        ->and($warns([$bottle('torch', 400), $bottle('purge', 400)], false))->toBeFalse()
        ->and($warns([], true))->toBeFalse();
});
