<?php

declare(strict_types=1);

use UpsweptBead\Core\Shop\Bottle;
use UpsweptBead\Core\Shop\BottleUse;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Units\UnitSystem;
use UpsweptBead\Core\Weld\ArgonAccount;

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
    // Argon takes the place of as much air; air is 20.95 % oxygen, and 19.5 % is where oxygen deficiency begins [OSHA 29 CFR
    // 1910.146, from memory].
    expect(1 - ($argon->torchL + $argon->purgeL) / $argon->roomL)->toBeClose(19.5 / 20.95, 1e-9)
        ->and($argon->caution(UnitSystem::Metric))->toContain('Argon suffocates')->toContain('19.5');
});
