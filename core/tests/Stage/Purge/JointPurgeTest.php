<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Solve\Gas\Filling;
use UpsweptBead\Core\Stage\Purge\PurgePlanner;
use UpsweptBead\Core\Stage\Purge\RootCare;
use UpsweptBead\Core\Stage\Weld\Internal\Poses;
use UpsweptBead\Core\Tests\Support\Some;

covers(PurgePlanner::class, RootCare::class, Poses::class);

// Handbook figures: at 15 CFH a vent of 6.5 mm holds back 30 Pa; at a third of the flow a ninth of that is left.
it('is turned down so far before the arc that the closing tie-in is not blown out', function () {
    $purge = Some::plan()->weld->sheets['AJ2']->purge;
    expect(Filling::ventPressurePa($purge->value('flow'), $purge->value('vent')))->toBeClose(30.0, 0.01)
        ->and(Filling::ventPressurePa($purge->value('hold'), $purge->value('vent')))->toBeClose(30.0 / 9, 0.01)
        ->and($purge->closing(UnitSystem::Inch))->toBe('Turn the purge down to 5 CFH before the arc. At the closing tie-in only the vent lets it out, with 3 Pa behind it.');
});

it('is kept on until the root may see air', function () {
    $sheet = Some::plan()->weld->sheets['AJ2'];
    expect($sheet->purge->value('keep'))->toBe($sheet->times->keepS)
        ->and($sheet->purge->value('keep'))->toBeGreaterThan(0.0)->toBeLessThan($sheet->times->coolS);
});
